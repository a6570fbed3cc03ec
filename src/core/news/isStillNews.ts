import type { Card } from '../card';
import { isSameJson } from '../json';
import type { News } from './news';

/** The part of an entry that says what it is. */
const CARRIERS = {
  organizations: 'name',
  titles: 'name',
  phones: 'number',
  emails: 'address',
  addresses: 'components',
} as const;

/** Whether a card still doesn't have what a piece of news says: it may have been accepted, or typed, meanwhile. */
export function isStillNews(card: Card, { collection, entry }: News): boolean {
  const carrier = CARRIERS[collection];
  const entries: readonly object[] = Object.values(card[collection] ?? {});
  return !entries.some((one) => isSameJson((one as Record<string, unknown>)[carrier], entry[carrier]));
}
