import { type CardChange, type Change, toCardChanges } from '@/book/history';
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
import type { Card, Uid } from '@/core/card';

import { type ChangeRequest, newChange, pairWithKnown, undo } from './changeBook';
import { putTalks } from './changeTalks';

/** Cards written per batch, before yielding to the page. */
const PIECE = 200;

/** How a long change is watched and stopped. */
export interface BatchOptions {
  readonly onProgress?: (share01: number, cards: number) => void;
  /** Asked between two batches; what has been done so far is undone. */
  readonly isStopped?: () => boolean;
}

/**
 * Changes many cards without holding the page up: piece by piece, yet one step of the history. The step is noted
 * first, so that what a crash leaves half done can be taken back as well.
 *
 * @returns the change, or undefined where nothing differs or the user has stopped it
 */
export function changeInBatches(
  { cause, label, upserts = [], removed = [], talks = [] }: ChangeRequest,
  { onProgress, isStopped }: BatchOptions = {},
): AppThunk<Promise<Change | undefined>> {
  return async (dispatch, getState, services) => {
    const stamp = services.utcNow();
    const cards: Card[] = [];
    const changes: CardChange[] = [];
    const put = (some: readonly Card[], gone: readonly Uid[]) => {
      dispatch(cardsArrived({ upserts: some, removed: gone }));
      services.writer.putCards(some, gone);
      void services.search.put(some, gone, selectSettings(getState()).country);
    };
    for (const piece of inBatches(upserts, PIECE)) {
      const known = selectCardsByUid(getState());
      const pairs = await pairWithKnown(services, known, { cause, upserts: piece, stamp });
      changes.push(...toCardChanges(pairs));
      cards.push(...pairs.map(({ after }) => after));
      await services.yieldToPage();
      if (isStopped?.() === true) return undefined;
    }
    const before = selectCardsByUid(getState());
    const gone = removed.filter((uid) => before.get(uid));
    changes.push(...toCardChanges(gone.map((uid) => ({ before: before.get(uid) }))));
    if (changes.length === 0 && talks.length === 0) return undefined;
    const said = talks.length === 0 ? {} : { talks };
    const change = newChange(services, { cause, label, cards: changes, at: stamp, ...said });
    dispatch(bookChanged({ upserts: [], removed: [], change }));
    services.writer.putChange(change, [], []);
    let done = 0;
    for (const piece of inBatches(cards, PIECE)) {
      put(piece, []);
      done += piece.length;
      onProgress?.(done / cards.length, done);
      await services.yieldToPage();
      if (isStopped?.() === true) {
        dispatch(undo(change.id));
        return undefined;
      }
    }
    if (gone.length > 0) put([], gone);
    if (talks.length > 0) await dispatch(putTalks(talks));
    dispatch(noticeShown({ text: label, tone: 'plain', changeId: change.id }));
    dispatch(cardsChanged({ cause, pairs: cards.map((after) => ({ before: undefined, after })) }));
    return change;
  };
}
