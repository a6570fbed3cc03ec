import type { Cause, Change } from '@/book/history';
import type { AppThunk } from '@/book/state';
import type { Card } from '@/core/card';

import { changeBook } from './changeBook';
import { type BatchOptions, changeInBatches } from './changeInBatches';

/** More cards than this are changed in batches, so that the page stays responsive. */
const AT_ONCE = 200;

/** What is done to many cards. */
export interface ManyChangeRequest {
  readonly cards: readonly Card[];
  /** For the log and the message: "Tagged 3 cards". */
  readonly label: string;
  /** The new version of each card; undefined deletes it. */
  readonly change: (card: Card) => Card | undefined;
  readonly cause?: Cause;
}

/**
 * Does one thing to many cards, as one step of the history.
 *
 * @returns the change; undefined where no card differs by it, or the user has stopped it
 */
export function changeMany(
  { cards, label, change, cause = 'edit' }: ManyChangeRequest,
  options: BatchOptions = {},
): AppThunk<Promise<Change | undefined>> {
  const upserts: Card[] = [];
  const removed: string[] = [];
  for (const card of cards) {
    const next = change(card);
    if (!next) removed.push(card.uid);
    else if (next !== card) upserts.push(next);
  }
  const wish = { cause, label, upserts, removed };
  return upserts.length + removed.length > AT_ONCE ? changeInBatches(wish, options) : changeBook(wish);
}
