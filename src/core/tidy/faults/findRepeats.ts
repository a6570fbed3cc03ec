import { type Card, compareEntries, countriesOf, type Entry, type United } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import { uniteEntry } from '../merging/uniteEntry';
import type { Fault } from './fault';

/** Collections in which a repeated value is a fault. */
const REPEATED = ['phones', 'emails', 'addresses', 'links', 'organizations'] as const;

/** The same number, address or organisation twice on a card; the better writing is kept, and the labels of both. */
export function findRepeats(card: Card, country: string): Fault[] {
  return REPEATED.flatMap((collection) => repeatsIn(card, collection, country));
}

function repeatsIn(card: Card, collection: United, country: string): Fault[] {
  const entries = Object.entries((card[collection] ?? {}) as Record<string, Entry>);
  const countries = countriesOf(country, card);
  return entries.flatMap(([id, entry], at): Fault[] => {
    const [first, kept] =
      entries
        .slice(0, at)
        .find(([, one]) => compareEntries(collection, one, entry, countries) !== 'different') ?? [];
    if (first === undefined || !kept) return [];
    const united = uniteEntry(collection, kept, entry, countries);
    // Each says something that only one entry can say.
    if (!united) return [];
    return [
      {
        ...{ code: 'twice', uid: card.uid, path: [collection, id], was: entry },
        ...{ shown: shownOf(entry), says: texts.isOnCardTwice },
        mend: {
          edits: [
            { path: [collection, first], before: kept, after: united },
            { path: [collection, id], before: entry },
          ],
          shown: shownOf(united),
          // An organisation may have been given twice for two posts.
          isSure: collection !== 'organizations' && collection !== 'addresses',
        },
      },
    ];
  });
}

function shownOf(entry: Entry): string {
  const value = entry['number'] ?? entry['address'] ?? entry['uri'] ?? entry['name'] ?? entry['full'];
  if (typeof value === 'string') return value;
  const parts = (entry['components'] ?? []) as readonly { kind: string; value: string }[];
  return parts
    .filter(({ kind }) => kind !== 'separator')
    .map((part) => part.value)
    .join(', ');
}
