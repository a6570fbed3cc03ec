import { type Card, isPrivate, withoutPrivate } from '../card';

/** A card without its private values, which never leave this browser; undefined for a card that is private as a whole. */
export function cardForHub(card: Card): Card | undefined {
  return isPrivate(card) ? undefined : withoutPrivate(card);
}
