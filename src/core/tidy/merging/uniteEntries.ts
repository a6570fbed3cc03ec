import { type Collection, compareEntries, type Entry, ID_PREFIXES, idFor, type United } from '@/core/card';

import { uniteEntry } from './uniteEntry';

/** Entries of both, and what the other's ids have become. */
export interface UnitedEntries {
  readonly entries: Readonly<Record<string, Entry>>;
  readonly idOf: ReadonlyMap<string, string>;
}

/**
 * Unites the entries of a collection: two that say the same become one where that loses nothing that either says, others keep their ids
 * where possible.
 *
 * @param countries - ISO 3166-1 alpha-2, by which numbers without a country code are read
 */
export function uniteEntries(
  collection: United,
  mine: Readonly<Record<string, Entry>>,
  theirs: Readonly<Record<string, Entry>>,
  countries: readonly string[],
): UnitedEntries {
  const entries: Record<string, Entry> = { ...mine };
  const idOf = new Map<string, string>();
  for (const [id, entry] of Object.entries(theirs)) {
    const [place, united] = placeFor(collection, entry, entries, countries) ?? [
      freeId(collection, id, entry, entries),
      entry,
    ];
    entries[place] = united;
    idOf.set(id, place);
  }
  return { entries, idOf };
}

/** The entry that it becomes one with, and what they are together; one that is quite the same comes first. */
function placeFor(
  collection: United,
  entry: Entry,
  entries: Readonly<Record<string, Entry>>,
  countries: readonly string[],
): readonly [string, Entry] | undefined {
  let found: readonly [string, Entry] | undefined;
  for (const [id, known] of Object.entries(entries)) {
    if (compareEntries(collection, known, entry, countries) === 'different') continue;
    const united = uniteEntry(collection, known, entry, countries);
    if (united === known) return [id, known];
    if (united) found ??= [id, united];
  }
  return found;
}

function freeId(
  collection: United,
  id: string,
  entry: Entry,
  entries: Readonly<Record<string, unknown>>,
): string {
  if (!Object.hasOwn(entries, id)) return id;
  if (collection in ID_PREFIXES) return idFor(collection as Collection, entry, entries);
  let count = 2;
  while (Object.hasOwn(entries, `${id}-${count}`)) count += 1;
  return `${id}-${count}`;
}
