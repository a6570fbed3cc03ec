import { isObject } from '@/core/base';
import { type Collection, type Entry, ID_PREFIXES, idFor, meaningOf, type United } from '@/core/card';

/** Entries of both, and what the other's ids have become. */
export interface UnitedEntries {
  readonly entries: Readonly<Record<string, Entry>>;
  readonly idOf: ReadonlyMap<string, string>;
}

/** Unites the entries of a collection: those of one meaning become one, others keep their ids where possible. */
export function uniteEntries(
  collection: United,
  mine: Readonly<Record<string, Entry>>,
  theirs: Readonly<Record<string, Entry>>,
  country: string | undefined,
): UnitedEntries {
  const entries: Record<string, Entry> = { ...mine };
  const byMeaning = new Map<string, string>();
  for (const [id, entry] of Object.entries(mine)) {
    const meaning = meaningOf(collection, entry, country);
    if (!byMeaning.has(meaning)) byMeaning.set(meaning, id);
  }
  const idOf = new Map<string, string>();
  for (const [id, entry] of Object.entries(theirs)) {
    const meaning = meaningOf(collection, entry, country);
    const known = byMeaning.get(meaning);
    const place = known ?? freeId(collection, id, entry, entries);
    const before = entries[place];
    entries[place] = known !== undefined && before ? uniteEntry(before, entry) : entry;
    byMeaning.set(meaning, place);
    idOf.set(id, place);
  }
  return { entries, idOf };
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

/** The more complete writing is better: the longer text, a number with its country code. */
const WRITTEN = ['number', 'name', 'full', 'value', 'label'] as const;

/** Two entries of one meaning as one: the better writing, and what either says beside it. */
function uniteEntry(mine: Entry, theirs: Entry): Entry {
  const united: Record<string, unknown> = { ...theirs, ...mine };
  for (const key of WRITTEN) {
    const [a, b] = [mine[key], theirs[key]];
    if (typeof a === 'string' && typeof b === 'string') united[key] = isBetter(b, a) ? b : a;
  }
  for (const key of ['contexts', 'features', 'units', 'components'] as const) {
    const [a, b] = [mine[key], theirs[key]];
    if (isFlags(a) && isFlags(b)) united[key] = { ...b, ...a };
    else if (Array.isArray(a) && Array.isArray(b)) united[key] = partsOf(b) > partsOf(a) ? b : a;
  }
  return united;
}

/** How many parts say something: separators only stand between them. */
function partsOf(parts: readonly unknown[]): number {
  return parts.filter((part) => !(isObject(part) && part['kind'] === 'separator')).length;
}

function isBetter(text: string, than: string): boolean {
  const [ours, other] = [text.startsWith('+'), than.startsWith('+')];
  return ours === other ? text.length > than.length : ours;
}

function isFlags(value: unknown): value is Record<string, true> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
