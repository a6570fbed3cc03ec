import { type CardChange, type Change, toCardChanges } from '@/book/history';
import { type AppThunk, cardsChanged, noticeShown, selectCardsByUid } from '@/book/state';
import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';

import { applyToBook, type ChangeRequest, newChange, noteStep, undo } from './changeBook';
import { putTalks } from './changeTalks';

/** Cards changed per batch, before yielding to the page. */
const PIECE = 200;

/** How a long change is watched and stopped. */
export interface BatchOptions {
  readonly onProgress?: (share01: number, cards: number) => void;
  /** Asked between two batches; what has been done so far is undone. */
  readonly isStopped?: () => boolean;
}

/**
 * Changes many cards without holding the page up: piece by piece, yet one step of the history. Each piece is worked out
 * on the cards as they are when its turn comes, and is in the store before the next begins; the step grows with it, so
 * that what a crash leaves half done can be undone as well. It is over when all of it is in the store.
 *
 * @returns the change, or undefined where nothing differs or the user has stopped it
 */
export function changeInBatches(
  { cause, label, edits = [], talks = [] }: ChangeRequest,
  { onProgress, isStopped }: BatchOptions = {},
): AppThunk<Promise<Change | undefined>> {
  return async (dispatch, getState, services) => {
    const at = services.utcNow();
    const changes: CardChange[] = [];
    const arrived: Card[] = [];
    const said = talks.length === 0 ? {} : { talks };
    let change = newChange(services, { cause, label, cards: [], at, ...said });
    let seen = 0;
    for (const piece of inBatches(edits, PIECE)) {
      const pairs = applyToBook(services, selectCardsByUid(getState()), piece, cause, at);
      if (pairs.length > 0) {
        changes.push(...toCardChanges(pairs));
        arrived.push(...pairs.flatMap(({ after }) => after ?? []));
        change = { ...change, cards: [...changes] };
        dispatch(noteStep(change, pairs));
      }
      seen += piece.length;
      await services.writer.flush();
      onProgress?.(seen / edits.length, seen);
      await services.yieldToPage();
      if (isStopped?.() !== true) continue;
      if (changes.length > 0) await dispatch(undo(change.id));
      return undefined;
    }
    if (changes.length === 0 && talks.length === 0) return undefined;
    if (talks.length > 0) {
      if (changes.length === 0) dispatch(noteStep(change, []));
      await dispatch(putTalks(talks));
    }
    await services.writer.flush();
    dispatch(noticeShown({ text: label, tone: 'plain', changeId: change.id }));
    dispatch(cardsChanged({ cause, pairs: arrived.map((after) => ({ before: undefined, after })) }));
    return change;
  };
}
