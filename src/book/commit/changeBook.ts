import type { UidMap } from '@/book/clients';
import {
  type BeforeAfter,
  type Cause,
  type Change,
  replayChange,
  type TalkChange,
  toCardChanges,
} from '@/book/history';
import {
  type AppThunk,
  bookChanged,
  cardsChanged,
  type CardsNow,
  noticeShown,
  selectCardsByUid,
  selectChange,
  selectRedoable,
  selectSettings,
  selectUndoable,
  type Services,
} from '@/book/state';
import { detachPhotos } from '@/book/store';
import type { Card, Uid } from '@/core/card';
import { texts } from '@/texts/book/commit';

import { applySide } from './applySide';
import { putTalks } from './changeTalks';
import { removeImportedTalks } from './importedTalks';

/** A request to change the book: cards in their new state, and cards to delete. */
export interface ChangeRequest {
  readonly cause: Cause;
  /** For the log and the notice: "Deleted Ada Lowther". */
  readonly label: string;
  readonly upserts?: readonly Card[];
  readonly removed?: readonly Uid[];
  /** Talks added, deleted or changed with it. */
  readonly talks?: readonly TalkChange[];
  /** The step it completes, recorded earlier by an import of talks. */
  readonly completes?: Change | undefined;
  /** No notice is shown: the user didn't just ask for it. */
  readonly isQuiet?: boolean;
}

/**
 * The one way in which the user changes the book: notes the change in the history, shows it, has it written, offers
 * to undo it.
 *
 * @returns the change, or undefined where nothing differs
 */
export function changeBook({
  cause,
  label,
  upserts = [],
  removed = [],
  talks = [],
  completes,
  isQuiet = false,
}: ChangeRequest): AppThunk<Promise<Change | undefined>> {
  return async (dispatch, getState, services) => {
    const known = selectCardsByUid(getState());
    const stamp = services.utcNow();
    const changed = await pairWithKnown(services, known, { cause, upserts, stamp });
    const cards = toCardChanges([...changed, ...removed.map((uid) => ({ before: known.get(uid) }))]);
    if (cards.length === 0 && talks.length === 0 && !completes) return undefined;
    const said = talks.length === 0 ? {} : { talks };
    const change = completes
      ? { ...completes, label, cards, ...said }
      : newChange(services, { cause, label, cards, at: stamp, ...said });
    const now: CardsNow = { upserts: changed.map(({ after }) => after), removed: [...removed] };
    dispatch(commit(change, now, false));
    dispatch(cardsChanged({ cause, pairs: changed }));
    if (!isQuiet) dispatch(noticeShown({ text: label, tone: 'plain', changeId: change.id }));
    return change;
  };
}

interface Upserts {
  readonly cause: Cause;
  readonly upserts: readonly Card[];
  /** UTCDateTime at which they are changed; what an import brings keeps its own. */
  readonly stamp: string;
}

/** Pairs each card with its current version; photos are detached and stored, unchanged cards left out. */
export async function pairWithKnown(
  services: Services,
  known: UidMap<Card>,
  { cause, upserts, stamp }: Upserts,
): Promise<(BeforeAfter & { readonly after: Card })[]> {
  const detached = upserts.map(detachPhotos);
  // Photos first: a card may stand without its change in the store, but not without its photo.
  await services.photos.put(
    Object.assign({}, ...detached.map(({ photos }) => photos)) as Record<string, string>,
  );
  return detached
    .map(({ card }) => ({
      before: known.get(card.uid),
      after: cause === 'import' ? card : { ...card, updated: stamp },
    }))
    .filter((pair) => !isOnlyStamped(pair));
}

/** A new step of the history; its id sorts by time. */
export function newChange(services: Services, some: Omit<Change, 'id' | 'state'>): Change {
  const id = `${String(services.nowMs()).padStart(14, '0')}-${services.newUid().slice(-8)}`;
  return { ...some, id, state: 'done' };
}

/** Whether a card was saved without a change: only its date differs. */
export function isOnlyStamped(pair: BeforeAfter): boolean {
  return toCardChanges([pair]).every(
    (one) => one.kind === 'edit' && one.edits.every(({ path }) => path[0] === 'updated'),
  );
}

/** Records a change of settings and the like only, and applies it at once: a field that is typed in can't wait. */
export function changeSides(change: Change, isQuiet = false): AppThunk {
  return (dispatch) => {
    dispatch(commit(change, { upserts: [], removed: [] }, false));
    if (!isQuiet) dispatch(noticeShown({ text: change.label, tone: 'plain', changeId: change.id }));
  };
}

function commit(change: Change, now: CardsNow, isReplay: boolean): AppThunk {
  return (dispatch, getState, services) => {
    dispatch(bookChanged({ ...now, change, isReplay }));
    services.writer.putChange(change, now.upserts, now.removed);
    void services.search.put(now.upserts, now.removed, selectSettings(getState()).country);
    const { talks = [], sides = [], intake } = change;
    const isBack = change.state !== 'done';
    for (const side of sides) dispatch(applySide(side, isBack));
    if (isBack && intake !== undefined) void dispatch(removeImportedTalks(intake));
    if (talks.length > 0)
      void dispatch(
        putTalks(
          talks.map(({ before, after }) => (isBack ? { before: after, after: before } : { before, after })),
        ),
      );
  };
}

/** Undoes the last change, or the one with the id, and says what it was. */
export function undo(changeId?: string): AppThunk {
  return (dispatch, getState) => {
    const state = getState();
    const change = changeId === undefined ? selectUndoable(state) : selectChange(state, changeId);
    if (change?.state !== 'done') return;
    dispatch(replay(change, 'backward'));
  };
}

/** Redoes the change that was undone last. */
export function redo(): AppThunk {
  return (dispatch, getState) => {
    const change = selectRedoable(getState());
    if (change) dispatch(replay(change, 'forward'));
  };
}

function replay(change: Change, direction: 'forward' | 'backward'): AppThunk {
  return (dispatch, getState) => {
    const known = selectCardsByUid(getState());
    const {
      upserts,
      removed,
      missed,
      change: now,
    } = replayChange(change, direction, (uid) => known.get(uid));
    dispatch(commit(now, { upserts, removed }, true));
    dispatch(
      cardsChanged({
        cause: 'edit',
        pairs: upserts.map((after) => ({ before: known.get(after.uid), after })),
      }),
    );
    const verb = direction === 'backward' ? texts.undone : texts.redone;
    const rest = missed === 0 ? '' : texts.newerValuesWereLeft(missed);
    dispatch(noticeShown({ text: `${verb}: ${change.label}.${rest}`, tone: 'plain' }));
  };
}
