import { createAction, createSelector, type UnknownAction } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';

import { selectCardsByUid } from './cardsSlice';

/** The selected cards. */
export interface ChoosingState {
  /** Whether rows are being selected, even with none selected yet. */
  readonly isOn: boolean;
  readonly uids: Readonly<Record<Uid, true>>;
  /** The row selected last, where a range starts. */
  readonly anchor?: Uid;
  /** As what they are about to be exported: the id of a format. */
  readonly exportAs?: string;
}

const initialState: ChoosingState = { isOn: false, uids: {} };

/** Starts selecting, with none selected. */
export const choosingBegan = createAction('choosing/began');
/** Selects or deselects one card. */
export const choiceToggled = createAction<Uid>('choosing/toggled');
/** Adds cards to the selection; the last of them is where a range starts. */
export const choiceAdded = createAction<readonly Uid[]>('choosing/added');
/** Replaces the selection. */
export const choiceMade = createAction<readonly Uid[]>('choosing/made');
/** Asks for an export of the selected cards as a format; undefined where it is done, or not wanted. */
export const exportAsked = createAction<string | undefined>('choosing/exportAsked');
/** Clears the selection. */
export const choosingEnded = createAction('choosing/ended');

/** The current selection; not stored. A plain reducer, as that of the cards is. */
export function choosingReducer(state: ChoosingState = initialState, action: UnknownAction): ChoosingState {
  if (choosingBegan.match(action)) return { ...state, isOn: true };
  if (choosingEnded.match(action)) return initialState;
  if (exportAsked.match(action)) {
    const { exportAs: _, ...rest } = state;
    return action.payload === undefined ? rest : { ...rest, exportAs: action.payload };
  }
  if (choiceToggled.match(action)) {
    const uid = action.payload;
    const uids = { ...state.uids };
    if (uids[uid]) delete uids[uid];
    else uids[uid] = true;
    return { isOn: true, uids, anchor: uid };
  }
  if (choiceAdded.match(action) || choiceMade.match(action)) {
    const before = choiceMade.match(action) ? initialState.uids : state.uids;
    const added = Object.fromEntries(action.payload.map((uid) => [uid, true as const]));
    const anchor = action.payload.at(-1);
    return { isOn: true, uids: { ...before, ...added }, ...(anchor === undefined ? {} : { anchor }) };
  }
  return state;
}

interface WithChoosing {
  readonly choosing: ChoosingState;
}

/** Whether cards are being selected. */
export const selectIsChoosing = ({ choosing }: WithChoosing): boolean => choosing.isOn;
/** Whether a card is selected. */
export const selectIsPicked = ({ choosing }: WithChoosing, uid: Uid): boolean => choosing.uids[uid] === true;
/** Where a range of rows begins. */
export const selectAnchor = ({ choosing }: WithChoosing): Uid | undefined => choosing.anchor;

/** As what the selected cards are about to be exported; undefined where they aren't. */
export const selectExportAs = ({ choosing }: WithChoosing): string | undefined => choosing.exportAs;

/** The selected cards that still exist. */
export const selectChosenCards = createSelector(
  [({ choosing }: WithChoosing) => choosing.uids, selectCardsByUid],
  (uids, byUid) => Object.keys(uids).flatMap((uid) => byUid.get(uid) ?? []),
);
