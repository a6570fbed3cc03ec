import { z } from 'zod';

import { isSameJson } from '@/core/base';
import { type Card, idFor, type Uid } from '@/core/card';

/** What a piece of news is, in words. */
export const NEWS_WORDS = {
  organizations: 'organisation',
  titles: 'post',
  phones: 'number',
  emails: 'mail address',
  addresses: 'address',
} as const;

/** A value that somebody's card lacks or has differently. */
export const newsSchema = z.object({
  /** The same for the same value of the same card, wherever it was seen. */
  id: z.string(),
  uid: z.string(),
  /** When it was seen, ISO 8601. */
  day: z.iso.date(),
  collection: z.enum(['organizations', 'titles', 'phones', 'emails', 'addresses']),
  /** As it would stand on the card. */
  entry: z.record(z.string(), z.unknown()),
  /** The id of the entry it replaces; none for an additional one. */
  replaces: z.string().exactOptional(),
  /** As it is read. */
  shown: z.string(),
  /** What it replaces, as it is read. */
  before: z.string().exactOptional(),
  /** Where it was seen; in a signature where nothing is said. */
  from: z.enum(['signature', 'directory', 'import', 'device']).exactOptional(),
});
/** A value that somebody's card lacks or has differently. */
export type News = z.infer<typeof newsSchema>;

/** The end of a message by somebody who has a card. */
export interface Signature {
  readonly uid: Uid;
  /** When it was written, ISO 8601. */
  readonly day: string;
  readonly text: string;
}

/** The card with a piece of news accepted: in place of what it replaces, where that is still there, or in addition. */
export function acceptNews(card: Card, { collection, entry, replaces }: News): Card {
  const entries: Readonly<Record<string, object>> = card[collection] ?? {};
  const old = replaces === undefined ? undefined : entries[replaces];
  const id = old && replaces !== undefined ? replaces : idFor(collection, entry, entries);
  // Parts of what is replaced that say more about it, such as which house a post is at, go with what they were said of.
  return { ...card, [collection]: { ...entries, [id]: entry } };
}

/** The part of an entry that says what it is. */
const CARRIERS = {
  organizations: 'name',
  titles: 'name',
  phones: 'number',
  emails: 'address',
  addresses: 'components',
} as const;

/** Whether a card still lacks what a piece of news says: it may have been accepted or typed in the meantime. */
export function isStillNews(card: Card, { collection, entry }: News): boolean {
  const carrier = CARRIERS[collection];
  const entries: readonly object[] = Object.values(card[collection] ?? {});
  return !entries.some((one) => isSameJson((one as Record<string, unknown>)[carrier], entry[carrier]));
}
