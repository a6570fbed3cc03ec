import type { Card } from '@/core/card';

import { cardFromMarks } from './cardFromMarks';
import { findMarks } from './findMarks';
import type { LiftMark, LiftOptions } from './marks';

/** A card read out of a text, and where in the text each value stands. */
export interface Lifted {
  readonly card: Card;
  readonly marks: readonly LiftMark[];
}

/** Reads a card out of a text. @param empty - the new card that it becomes; not changed */
export function liftCard(text: string, empty: Card, options: LiftOptions = {}): Lifted {
  const marks = findMarks(text, options);
  return { marks, card: cardFromMarks(text, marks, empty, options) };
}
