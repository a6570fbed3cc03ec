import { type Collection, ID_PREFIXES, nextId } from '../card';
import { isSameJson } from '../json';
import { type Entry, meaningOf, type United } from '../merging';

/** Entries by their ids. */
export type Entries = Readonly<Record<string, Entry>>;

/** Entries under the ids that they have here. */
export interface Aligned {
  readonly entries: Record<string, Entry>;
  /** What the ids that they came with have become. */
  readonly idOf: ReadonlyMap<string, string>;
}

/**
 * Gives entries that come from elsewhere the ids that the same entries have here. A format without ids numbers them as
 * they stand, so that an id alone says little: an entry of the same meaning goes first, then one with the same id, then
 * the one that is left with the same labels; all others get ids that are free.
 *
 * @param agreed - entries that both sides have had, whose ids stand
 * @param added - entries that only this side has; one of theirs is the same only if it means the same
 * @param country - ISO 3166-1 alpha-2, for numbers without a country code
 */
export function alignEntries(
  collection: United,
  { agreed, added = {} }: { readonly agreed: Entries; readonly added?: Entries },
  there: Entries,
  country: string | undefined,
): Aligned {
  const here = { ...agreed, ...added };
  const open = new Map(
    Object.entries(here).map(([id, entry]) => [id, meaningOf(collection, entry, country)]),
  );
  const rest = new Map(Object.entries(there));
  const entries: Record<string, Entry> = {};
  const idOf = new Map<string, string>();
  const join = (id: string | undefined, from: string, entry: Entry) => {
    if (id === undefined) return;
    entries[id] = entry;
    idOf.set(from, id);
    open.delete(id);
    rest.delete(from);
  };
  const isAgreed = (id: string) => open.has(id) && Object.hasOwn(agreed, id);
  const meaningsThere = new Map([...rest].map(([id, entry]) => [id, meaningOf(collection, entry, country)]));
  for (const [from, entry] of [...rest])
    if (open.get(from) === meaningsThere.get(from)) join(from, from, entry);
  for (const [from, entry] of [...rest])
    join([...open].find(([, meaning]) => meaning === meaningsThere.get(from))?.[0], from, entry);
  for (const [from, entry] of [...rest]) if (isAgreed(from)) join(from, from, entry);
  for (const [from, entry] of [...rest]) {
    const left = [...open.keys()].filter(isAgreed);
    join(
      left.find((id) => isSameJson(labelsOf(here[id] ?? {}), labelsOf(entry))),
      from,
      entry,
    );
  }
  for (const [from, entry] of [...rest]) {
    const taken = { ...here, ...entries, ...Object.fromEntries(rest) };
    const isTaken = Object.hasOwn(here, from) || Object.hasOwn(entries, from);
    join(isTaken ? freeId(collection, taken) : from, from, entry);
  }
  return { entries, idOf };
}

function labelsOf({ contexts, features, kind, label }: Entry): unknown {
  return { contexts, features, kind, label };
}

function freeId(collection: United, taken: Entries): string {
  if (collection in ID_PREFIXES) return nextId(collection as Collection, taken);
  let count = 1;
  while (Object.hasOwn(taken, `x${count}`)) count += 1;
  return `x${count}`;
}
