import { type Card, isPrivate, rebaseJson, withoutPrivate } from '@/core/card';

/** A card without its private values, which never leave this browser; undefined for a card that is private as a whole. */
export function cardForHub(card: Card): Card | undefined {
  return isPrivate(card) ? undefined : withoutPrivate(card);
}

/**
 * A card as the hub has it, with the private values that are known only here.
 *
 * @param mine - the card as it is here, unchanged since the hub was pushed of it; undefined where it is new here
 */
export function fromHub(mine: Card | undefined, theirs: Card): Card {
  const pushed = mine && cardForHub(mine);
  return mine && pushed ? rebaseJson(pushed, mine, theirs) : theirs;
}
