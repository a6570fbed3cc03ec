import { createAction, createSelector, type UnknownAction } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';

import { selectCardsByUid } from './cardsSlice';

/** Which cards are chosen, to do something with all of them. */
export interface ChoosingState {
  /** Whether rows are for choosing, even with none chosen yet. */
  readonly isOn: boolean;
  readonly uids: Readonly<Record<Uid, true>>;
  /** The row chosen last, from which a range goes on. */
  readonly anchor?: Uid;
}

const initialState: ChoosingState = { isOn: false, uids: {} };

/** Begins to choose, with nobody yet. */
export const choosingBegan = createAction('choosing/began');
/** One card is chosen, or not any more. */
export const choiceToggled = createAction<Uid>('choosing/toggled');
/** Some cards are chosen as well; the last of them is where a range goes on. */
export const choiceAdded = createAction<readonly Uid[]>('choosing/added');
/** Just these cards are chosen, whoever was before. */
export const choiceMade = createAction<readonly Uid[]>('choosing/made');
/** Nobody is chosen any more. */
export const choosingEnded = createAction('choosing/ended');

/** What is chosen at the moment; nothing of it is stored. A plain reducer, as that of the cards is. */
export function choosingReducer(state: ChoosingState = initialState, action: UnknownAction): ChoosingState {
  if (choosingBegan.match(action)) return { ...state, isOn: true };
  if (choosingEnded.match(action)) return initialState;
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

/** Whether cards are being chosen. */
export const selectIsChoosing = ({ choosing }: WithChoosing): boolean => choosing.isOn;
/** Whether a card is among the chosen. */
export const selectIsPicked = ({ choosing }: WithChoosing, uid: Uid): boolean => choosing.uids[uid] === true;
/** Where a range of rows begins. */
export const selectAnchor = ({ choosing }: WithChoosing): Uid | undefined => choosing.anchor;

/** The chosen cards that are still there. */
export const selectChosenCards = createSelector(
  [({ choosing }: WithChoosing) => choosing.uids, selectCardsByUid],
  (uids, byUid) => Object.keys(uids).flatMap((uid) => byUid.get(uid) ?? []),
);
