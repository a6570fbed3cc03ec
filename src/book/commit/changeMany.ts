import { type Cause, edited, type Step } from '@/book/history';
import type { AppThunk } from '@/book/state';
import type { Card } from '@/core/card';

import { changeBook } from './changeBook';
import type { BatchOptions } from './longChange';
import { changeInBatches } from './whenNeeded';

/** More cards than this are changed in batches, so that the page stays responsive. */
const AT_ONCE = 200;

/** What is done to many cards. */
export interface ManyChangeRequest {
  readonly cards: readonly Card[];
  /** For the log and the message: "Tagged 3 cards". */
  readonly label: string;
  /** The new version of each card, as it is when it is changed; undefined deletes it. */
  readonly change: (card: Card) => Card | undefined;
  readonly cause?: Cause;
}

/**
 * Does one thing to many cards, as one step of the history.
 *
 * @returns the step; undefined where no card differs by it, or the user has stopped it
 */
export function changeMany(
  { cards, label, change, cause = 'edit' }: ManyChangeRequest,
  options: BatchOptions = {},
): AppThunk<Promise<Step | undefined>> {
  const edits = cards.map(({ uid }) => edited(uid, change));
  const request = { cause, label, edits };
  return edits.length > AT_ONCE ? changeInBatches(request, options) : changeBook(request);
}
