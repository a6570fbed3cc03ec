import { type Card, shownAs } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';

/** What some cards are called in a message: by their name where it is one, else by their count. */
export function nameCards(cards: readonly Card[]): string {
  const [first, ...others] = cards;
  return first && others.length === 0 && shownAs(first) !== ''
    ? shownAs(first)
    : shared.cardCount(cards.length);
}
