import type { Card } from '@/core/card';

import { cardFromSpans } from './cardFromSpans';
import { findSpans } from './findSpans';
import type { ExtractOptions, TextSpan } from './spans';

/** A card read out of a text, and where in the text each value stands. */
export interface ExtractedCard {
  readonly card: Card;
  readonly marks: readonly TextSpan[];
}

/** Reads a card out of a text. @param empty - the new card that it becomes; not changed */
export function extractCard(text: string, empty: Card, options: ExtractOptions = {}): ExtractedCard {
  const marks = findSpans(text, options);
  return { marks, card: cardFromSpans(text, marks, empty, options) };
}
