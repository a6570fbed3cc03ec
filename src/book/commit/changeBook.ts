import type { UidMap } from '@/book/clients';
import {
  type BeforeAfter,
  type CardEdit,
  type Cause,
  type Change,
  replayChange,
  replayTalkChanges,
  type TalkChange,
  toCardChanges,
} from '@/book/history';
import {
  type AppThunk,
  bookChanged,
  cardsChanged,
  noticeShown,
  selectCardsByUid,
  selectChange,
  selectHistory,
  selectRedoable,
  selectSettings,
  selectUndoable,
  type Services,
} from '@/book/state';
import { detachPhotos, KEYS } from '@/book/store';
import type { Card, Uid } from '@/core/card';
import { texts } from '@/texts/book/commit';

import { applySide } from './applySide';
import { findTalks, inTurn, putNow, putTalks } from './changeTalks';
import { removeImportedTalks } from './importedTalks';

/** A request to change the book. */
export interface ChangeRequest {
  readonly cause: Cause;
  /** For the log and the notice: "Deleted Ada Lowther". */
  readonly label: string;
  readonly edits?: readonly CardEdit[];
  /** Talks added, deleted or changed with it. */
  readonly talks?: readonly TalkChange[];
  /** The step it completes, recorded earlier by an import of talks. */
  readonly completes?: Change | undefined;
  /** No notice is shown: the user didn't just ask for it. */
  readonly isQuiet?: boolean;
}

/**
 * The one way in which the user changes the book: works the edits out on the cards as they are, notes the change in the
 * history, shows it, has it written, offers to undo it. From working out to showing nothing else comes between.
 *
 * @returns the change, or undefined where nothing differs
 */
export function changeBook({
  cause,
  label,
  edits = [],
  talks = [],
  completes,
  isQuiet = false,
}: ChangeRequest): AppThunk<Promise<Change | undefined>> {
  return (dispatch, getState, services) => {
    const at = services.utcNow();
    const pairs = applyToBook(services, selectCardsByUid(getState()), edits, cause, at);
    const cards = toCardChanges(pairs);
    if (cards.length === 0 && talks.length === 0 && !completes) return Promise.resolve(undefined);
    const said = talks.length === 0 ? {} : { talks };
    const change = completes
      ? { ...completes, label, cards, ...said }
      : newChange(services, { cause, label, cards, at, ...said });
    void dispatch(commit(change, pairs));
    if (!isQuiet) dispatch(noticeShown({ text: label, tone: 'plain', changeId: change.id }));
    return Promise.resolve(change);
  };
}

/**
 * Works edits out on the cards as they are. Photos are detached and written with the cards; cards that don't change are
 * left out.
 *
 * @param at - UTCDateTime at which they are changed; what an import brings keeps its own
 */
export function applyToBook(
  { writer }: Services,
  known: UidMap<Card>,
  edits: readonly CardEdit[],
  cause: Cause,
  at: string,
): BeforeAfter[] {
  const now = new Map<Uid, Card | undefined>();
  for (const { uid, apply } of edits) now.set(uid, apply(now.has(uid) ? now.get(uid) : known.get(uid)));
  return [...now].flatMap(([uid, whole]): BeforeAfter[] => {
    const before = known.get(uid);
    if (whole === before) return [];
    if (!whole) return [{ before }];
    const { card, photos } = detachPhotos(whole);
    const pair = { before, after: cause === 'import' ? card : { ...card, updated: at } };
    if (isOnlyStamped(pair)) return [];
    for (const [id, uri] of Object.entries(photos)) writer.put(`${KEYS.photo}${id}`, uri);
    return [pair];
  });
}

/** A new step of the history; its id sorts by time. */
export function newChange(services: Services, some: Omit<Change, 'id' | 'state'>): Change {
  const id = `${String(services.nowMs()).padStart(14, '0')}-${services.newUid().slice(-8)}`;
  return { ...some, id, state: 'done' };
}

/** Whether nothing but the date of a card differs. */
export function isOnlyStamped(pair: BeforeAfter): boolean {
  return toCardChanges([pair]).length === 0;
}

/** Records a change of settings and the like only, and applies it at once: a field that is typed in can't wait. */
export function changeSides(change: Change, isQuiet = false): AppThunk {
  return (dispatch) => {
    void dispatch(commit(change, []));
    if (!isQuiet) dispatch(noticeShown({ text: change.label, tone: 'plain', changeId: change.id }));
  };
}

/** How a step is committed. */
export interface CommitOptions {
  /** Undone or redone, and not new; its talks are worked out by who does it. */
  readonly isReplay?: boolean;
  /** The hub knows of it already. */
  readonly isFromHub?: boolean;
  /** Only the step and the cards: what else goes with it has been put by who calls. */
  readonly isAlone?: boolean;
}

/**
 * Commits a step, whoever made it: notes it, shows the cards, has both written, and applies what goes with it.
 *
 * @param pairs - the cards it changes, as they are now and as they shall be
 */
export function commit(
  change: Change,
  pairs: readonly BeforeAfter[],
  { isReplay = false, isFromHub = false, isAlone = false }: CommitOptions = {},
): AppThunk<Promise<void>> {
  return (dispatch) => {
    dispatch(noteStep(change, pairs, { isReplay, isFromHub }));
    dispatch(
      cardsChanged({
        cause: isReplay ? 'edit' : change.cause,
        pairs: pairs.flatMap(({ before, after }) => (after ? [{ before, after }] : [])),
      }),
    );
    if (isAlone) return Promise.resolve();
    const { talks = [], sides = [], intake } = change;
    const isBack = change.state !== 'done';
    for (const side of sides) dispatch(applySide(side, isBack));
    if (isBack && intake !== undefined) void dispatch(removeImportedTalks(intake));
    return talks.length > 0 && !isReplay ? dispatch(putTalks(talks, isFromHub)) : Promise.resolve();
  };
}

/** Notes a step, or one that has grown: shows its cards and has both written. */
export function noteStep(
  change: Change,
  pairs: readonly BeforeAfter[],
  { isReplay = false, isFromHub = false }: Omit<CommitOptions, 'isAlone'> = {},
): AppThunk {
  return (dispatch, getState, { writer, search }) => {
    const upserts = pairs.flatMap(({ after }) => after ?? []);
    const removed = pairs.flatMap(({ before, after }) => (after || !before ? [] : before.uid));
    // Something new was done: what had been undone can't be redone any more, after a reload either.
    if (!isReplay && change.cause !== 'sync')
      for (const one of selectHistory(getState()))
        if (one.state === 'undone')
          writer.put(`${KEYS.change}${one.id}`, JSON.stringify({ ...one, state: 'dropped' }));
    dispatch(bookChanged({ upserts, removed, change, isReplay }));
    writer.putChange(change, upserts, removed, isFromHub);
    void search.put(upserts, removed, selectSettings(getState()).country);
  };
}

/** Undoes the last change, or the one with the id, and says what it was. */
export function undo(changeId?: string): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const state = getState();
    const change = changeId === undefined ? selectUndoable(state) : selectChange(state, changeId);
    if (change?.state === 'done') await dispatch(replay(change, 'backward'));
  };
}

/** Redoes the change that was undone last. */
export function redo(): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    const change = selectRedoable(getState());
    if (change) await dispatch(replay(change, 'forward'));
  };
}

/** Undoes or redoes a step, whether it is in memory or not. */
export function replay(change: Change, direction: 'forward' | 'backward'): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const known = selectCardsByUid(getState());
    const replayed = replayChange(change, direction, (uid) => known.get(uid), services.utcNow());
    const { upserts, removed, change: now } = replayed;
    const pairs = [
      ...upserts.map((after) => ({ before: known.get(after.uid), after })),
      ...removed.map((uid) => ({ before: known.get(uid) })),
    ];
    void dispatch(commit(now, pairs, { isReplay: true }));
    const hasTalks = (now.talks ?? []).length > 0;
    const missed = replayed.missed + (hasTalks ? await dispatch(replayTalks(now, direction)) : 0);
    const verb = direction === 'backward' ? texts.undone : texts.redone;
    const rest = missed === 0 ? '' : texts.newerValuesWereLeft(missed);
    dispatch(noticeShown({ text: `${verb}: ${change.label}.${rest}`, tone: 'plain' }));
  };
}

/** Undoes or redoes the talks of a step, as far as they are still what it made of them. @returns values left as they are */
function replayTalks(change: Change, direction: 'forward' | 'backward'): AppThunk<Promise<number>> {
  return async (dispatch, _, services) => {
    const { talks = [] } = change;
    return inTurn(services, async () => {
      const now = await dispatch(findTalks(talks));
      const replayed = replayTalkChanges(talks, direction, now);
      const step = { ...change, talks: replayed.talks };
      dispatch(bookChanged({ upserts: [], removed: [], change: step, isReplay: true }));
      services.writer.put(`${KEYS.change}${step.id}`, JSON.stringify(step));
      if (replayed.changes.length > 0) await dispatch(putNow(replayed.changes));
      return replayed.missed;
    });
  };
}
