import { type Card, VENDOR } from '../card';
import { isObject } from '../json';

const PRIVATE = `${VENDOR}private`;

/** A card without its private values, which never leave this browser; undefined for a card that is private as a whole. */
export function cardForHub(card: Card): Card | undefined {
  if (card['cordialis.example:private'] === true) return undefined;
  const kept = Object.entries(card).flatMap(([key, value]): [string, unknown][] => {
    if (!isObject(value)) return [[key, value]];
    const open = Object.entries(value).filter(([, entry]) => !isObject(entry) || entry[PRIVATE] !== true);
    if (open.length === Object.keys(value).length) return [[key, value]];
    return open.length === 0 ? [] : [[key, Object.fromEntries(open)]];
  });
  // Only entries have been left out: what is left is a card.
  return Object.fromEntries(kept) as unknown as Card;
}
