import { foldStrictly, hashText } from '@/core/base';
import { type Card, countriesOf, formatAddress, isAmong, type Uid } from '@/core/card';

import { type News, NEWS_WORDS } from './news';

type Entries = Readonly<Record<string, object>>;

/** Collections of which somebody usually has one entry, so that news replaces it; in others it is added. */
const REPLACED = new Set<News['collection']>(['organizations', 'titles']);

/** Whose news it is, when and where it was seen. */
interface Seen {
  /** Of their own card. */
  readonly uid: Uid;
  /** ISO 8601. */
  readonly day: string;
  readonly from: NonNullable<News['from']>;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country?: string;
}

/**
 * What another card of somebody says that their own doesn't: a value each, as a piece of news of their own card.
 */
export function newsBetween(own: Card, other: Card, { uid, day, from, country }: Seen): News[] {
  const countries = countriesOf(country, own, other);
  // Written out in NEWS_WORDS, which has these keys only.
  const collections = Object.keys(NEWS_WORDS) as News['collection'][];
  return collections.flatMap((collection) => {
    const known: Entries = own[collection] ?? {};
    const isKnown = (entry: object) => isAmong(collection, Object.values(known), entry, countries);
    const fresh = Object.values((other[collection] ?? {}) as Entries)
      .map(withoutOrganisation)
      .filter((entry) => shownOf(collection, entry).trim() !== '' && !isKnown(entry));
    const [only, ...more] = Object.entries(known);
    return fresh.map((entry): News => {
      const isInPlace = REPLACED.has(collection) && only !== undefined && more.length === 0;
      return {
        id: hashText(`${uid} ${collection} ${foldStrictly(shownOf(collection, entry))}`),
        ...{ uid, day, collection, shown: shownOf(collection, entry), from },
        entry,
        ...(isInPlace ? { replaces: only[0], before: shownOf(collection, only[1]) } : {}),
      };
    });
  });
}

/** A title may name an organisation by an id that it has on the other card only. */
function withoutOrganisation(entry: object): Record<string, unknown> {
  const { organizationId: _, ...rest } = entry as Record<string, unknown>;
  return rest;
}

function shownOf(collection: News['collection'], entry: object): string {
  const value = entry as { readonly name?: string; readonly number?: string; readonly address?: string };
  switch (collection) {
    case 'organizations':
    case 'titles':
      return value.name ?? '';
    case 'phones':
      return value.number ?? '';
    case 'emails':
      return value.address ?? '';
    case 'addresses':
      return formatAddress(entry as NonNullable<Card['addresses']>[string]).join(', ');
  }
}
