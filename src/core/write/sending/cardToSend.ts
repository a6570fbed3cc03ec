import { isObject } from '@/core/base';
import { type Card, isPrivate, VENDOR, withoutPrivate } from '@/core/card';

/** What goes along beyond what anybody may know. */
export interface SendOptions {
  readonly withPrivate?: boolean;
  /** Notes and tags are the user's own thoughts on somebody. */
  readonly withNotes?: boolean;
}

/**
 * The card as somebody else gets it: without private values, notes and tags unless asked for, without what only this book
 * knows (opener, rhythm, own fields, files that lie apart), without related cards, which the other doesn't have.
 */
export function cardToSend(card: Card, { withPrivate = false, withNotes = false }: SendOptions = {}): Card {
  const kept = Object.entries(withPrivate ? card : withoutPrivate(card)).filter(
    ([key]) =>
      !key.startsWith(VENDOR) &&
      key !== 'relatedTo' &&
      (withNotes || (key !== 'notes' && key !== 'keywords')),
  );
  // Only properties have been left out: what is left is a card.
  return Object.fromEntries(kept) as unknown as Card;
}

/** Whether a card, or some value of it, is private. */
export function hasPrivate(card: Card): boolean {
  return (
    isPrivate(card) ||
    Object.values(card).some((value) => isObject(value) && Object.values(value).some(isPrivate))
  );
}
