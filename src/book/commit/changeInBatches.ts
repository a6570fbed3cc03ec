import { type BeforeAfter, type CardChange, type CardEdit, type Change, toCardChanges } from '@/book/history';
import {
  type AppThunk,
  bookChanged,
  cardsArrived,
  cardsChanged,
  noticeShown,
  selectCardsByUid,
  selectSettings,
} from '@/book/state';
import { inBatches } from '@/core/base';

import { applyToBook, type ChangeRequest, newChange, undo } from './changeBook';
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
    const pairs: BeforeAfter[] = [];
    const said = talks.length === 0 ? {} : { talks };
    let change = newChange(services, { cause, label, cards: [], at, ...said });
    let seen = 0;
    for (const piece of inBatches(edits, PIECE)) {
      const some = dispatch(takePiece(piece, change));
      if (some.length > 0) {
        changes.push(...toCardChanges(some));
        pairs.push(...some.map(({ before, after }) => (after ? { after } : { before })));
        change = { ...change, cards: [...changes] };
        dispatch(bookChanged({ upserts: [], removed: [], change }));
        services.writer.putChange(change, [], []);
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
      if (changes.length === 0) {
        dispatch(bookChanged({ upserts: [], removed: [], change }));
        services.writer.putChange(change, [], []);
      }
      await dispatch(putTalks(talks));
    }
    await services.writer.flush();
    dispatch(noticeShown({ text: label, tone: 'plain', changeId: change.id }));
    dispatch(
      cardsChanged({
        cause,
        pairs: pairs.flatMap(({ after }) => (after ? [{ before: undefined, after }] : [])),
      }),
    );
    return change;
  };
}

/** Shows a piece and has it written. @returns the cards it changes */
function takePiece(piece: readonly CardEdit[], { cause, at }: Change): AppThunk<BeforeAfter[]> {
  return (dispatch, getState, services) => {
    const pairs = applyToBook(services, selectCardsByUid(getState()), piece, cause, at);
    const upserts = pairs.flatMap(({ after }) => after ?? []);
    const removed = pairs.flatMap(({ before, after }) => (after || !before ? [] : before.uid));
    dispatch(cardsArrived({ upserts, removed }));
    services.writer.putCards(upserts, removed);
    void services.search.put(upserts, removed, selectSettings(getState()).country);
    return pairs;
  };
}
