import { isObject } from '@/core/base';

import type { Card } from './schema/types';
import { VENDOR } from './schema/vendor';

const PRIVATE = `${VENDOR}private`;

/** Whether a card, or an entry of one, is private. */
export function isPrivate(value: unknown): boolean {
  return isObject(value) && value[PRIVATE] === true;
}

/** The card without its private entries; a collection that had nothing else goes with them. */
export function withoutPrivate(card: Card): Card {
  const kept = Object.entries(card).flatMap(([key, value]): [string, unknown][] => {
    if (!isObject(value) || !Object.values(value).some(isPrivate)) return [[key, value]];
    const open = Object.entries(value).filter(([, entry]) => !isPrivate(entry));
    return open.length === 0 ? [] : [[key, Object.fromEntries(open)]];
  });
  // Only entries have been left out: what is left is a card.
  return Object.fromEntries(kept) as unknown as Card;
}
