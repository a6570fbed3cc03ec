import {
  replayCards,
  replayed,
  replayTalkChanges,
  type Step,
  type StepPiece,
  type TalkReplay,
} from '@/book/history';
import {
  type AppThunk,
  cardsChanged,
  noticeShown,
  selectCardsByUid,
  selectRedoable,
  selectStep,
  selectUndoable,
} from '@/book/state';
import type { Talk } from '@/core/talks';
import { texts } from '@/texts/book/commit';

import { applySides } from './applySide';
import { findTalks, inTurn, putNow } from './changeTalks';
import { removeImportedTalks } from './importedTalks';
import { noteReplay, readPiece, todoKeys } from './noteStep';
import { readStep } from './readSteps';
import { makeTurns } from './turns';

type Direction = 'forward' | 'backward';

/** Undoes the last step made here, or the one with the id, and says what it was. */
export function undo(id?: string): AppThunk<Promise<void>> {
  return (dispatch, getState, services) =>
    inOrder(services, async () => {
      const state = getState();
      const step =
        id === undefined ? selectUndoable(state) : (selectStep(state, id) ?? (await readStep(services, id)));
      if (step?.state === 'done') await dispatch(replay(step, 'backward'));
    });
}

/** Redoes the step that was undone last, or the one with the id. */
export function redo(id?: string): AppThunk<Promise<void>> {
  return (dispatch, getState, services) =>
    inOrder(services, async () => {
      const state = getState();
      const step =
        id === undefined ? selectRedoable(state) : (selectStep(state, id) ?? (await readStep(services, id)));
      if (step?.state === 'undone') await dispatch(replay(step, 'forward'));
    });
}

/** Goes on with what a page that was closed had begun to undo or to redo. */
export function goOnReplaying({ id }: Step): AppThunk<Promise<void>> {
  return (dispatch, _, services) =>
    inOrder(services, async () => {
      const step = await readStep(services, id);
      if (step?.replaying) await dispatch(replay(step, step.replaying.direction));
    });
}

/** Steps are undone and redone one after the other: which is the last depends on the one before. */
const inOrder = makeTurns();

/** Undoes or redoes a step piece by piece, and each on the book as it is then; what a kill leaves is gone on with. */
function replay({ id, state }: Step, direction: Direction): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    await services.ifAlone(id, async () => {
      // Another page may have gone on with it, or undone it, and this one not have heard of that yet.
      const whole = await readStep(services, id);
      if (whole?.state !== state) return;
      const { todo, ...step } = whole;
      if (todo) await services.writer.remove(todoKeys(step.id, todo.pieces));
      let missed = 0;
      let damaged = 0;
      let isNoted = false;
      const begin = step.replaying?.direction === direction ? step.replaying.next : 0;
      for (let i = begin; i < step.pieces; i += 1) {
        const at = direction === 'backward' ? step.pieces - 1 - i : i;
        const isLast = i === step.pieces - 1 && step.intake === undefined;
        const now = isLast ? replayed(step, direction) : { ...step, replaying: { direction, next: i + 1 } };
        const piece = await readPiece(services, step.id, at);
        if (piece) {
          missed += await dispatch(replayPiece(now, at, piece, direction));
          isNoted = isLast;
        } else damaged += 1;
        if (step.pieces === 1) continue;
        await services.writer.flush();
        const share = Math.round((100 * (i + 1)) / step.pieces);
        const says = direction === 'backward' ? texts.undoing : texts.redoing;
        dispatch(noticeShown({ text: says(step.label, share), tone: 'plain' }));
        await services.yieldToPage();
      }
      if (direction === 'backward' && step.intake !== undefined) {
        dispatch(noteReplay({ ...step, replaying: { direction, next: step.pieces } }));
        await dispatch(removeImportedTalks(step.intake));
      }
      const now = replayed(step, direction);
      // One without pieces, or whose last piece is damaged.
      if (!isNoted) dispatch(noteReplay(now));
      dispatch(applySides(now));
      const verb = direction === 'backward' ? texts.undone : texts.redone;
      const rest = missed === 0 ? '' : texts.newerValuesWereLeft(missed);
      const lost = damaged === 0 ? '' : texts.partsOfItAreDamaged(damaged);
      dispatch(
        noticeShown({
          text: `${verb}: ${step.label}.${rest}${lost}`,
          tone: damaged === 0 ? 'plain' : 'error',
        }),
      );
    });
  };
}

/** @returns how many values are left as they are, because they have been changed since */
function replayPiece(
  step: Step,
  at: number,
  piece: StepPiece,
  direction: Direction,
): AppThunk<Promise<number>> {
  return async (dispatch, getState, services) => {
    const { talks = [] } = piece;
    // What another page has written of them, and this one has not heard of yet.
    await services.writer.readCards(piece.cards.map(({ uid }) => uid));
    const work = (talksNow: ReadonlyMap<string, Talk>): [missed: number, talks: TalkReplay] => {
      const known = selectCardsByUid(getState());
      const ofCards = replayCards(piece.cards, direction, (uid) => known.get(uid), services.utcNow());
      const ofTalks = replayTalkChanges(talks, direction, talksNow);
      const pairs = [
        ...ofCards.upserts.map((after) => ({ before: known.get(after.uid), after })),
        ...ofCards.removed.map((uid) => ({ before: known.get(uid), after: undefined })),
      ];
      const now = { cards: ofCards.cards, ...(talks.length === 0 ? {} : { talks: ofTalks.talks }) };
      dispatch(noteReplay(step, { at, piece: now }, pairs));
      const changed = pairs.flatMap(({ before, after }) => (after ? [{ before, after }] : []));
      dispatch(cardsChanged({ cause: 'edit', pairs: changed }));
      return [ofCards.missed + ofTalks.missed, ofTalks];
    };
    if (talks.length === 0) return work(new Map())[0];
    return inTurn(services, async () => {
      // From finding the talks to putting them nothing else comes between.
      const [missed, { changes }] = work(await dispatch(findTalks(talks)));
      if (changes.length > 0) await dispatch(putNow(changes));
      return missed;
    });
  };
}
