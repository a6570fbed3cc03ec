import { isSameJson, ownProperty } from '@/core/base';
import { type Collection, type Entry, ID_PREFIXES, idFor, isAmong, type United } from '@/core/card';

/** Entries by their ids. */
export type Entries = Readonly<Record<string, Entry>>;

/** Entries under the ids that they have here. */
export interface Aligned {
  readonly entries: Record<string, Entry>;
  /** Maps the ids they came with to their new ids. */
  readonly idOf: ReadonlyMap<string, string>;
}

/**
 * Gives entries that come from elsewhere the ids that the same entries have here. A format without ids numbers them as
 * they stand, so that an id alone says little: an entry of the same meaning goes first, then one with the same id, then
 * the one that is left with the same labels; all others get ids that are free.
 *
 * @param agreed - entries that both sides have had, whose ids stand
 * @param mine - what this side has made of them; one that only this side has is the same only if it means the same
 * @param countries - ISO 3166-1 alpha-2, by which numbers without a country code are read
 */
export function alignEntries(
  collection: United,
  { agreed, mine = {} }: { readonly agreed: Entries; readonly mine?: Entries },
  there: Entries,
  countries: readonly string[],
): Aligned {
  // Nothing has changed, as in most collections.
  if (isSameJson(agreed, there) && Object.keys(mine).every((id) => Object.hasOwn(agreed, id)))
    return {
      entries: Object.fromEntries(Object.keys(agreed).flatMap((id) => withId(id, there))),
      idOf: new Map(Object.keys(there).map((id) => [id, id])),
    };
  const here = { ...mine, ...agreed };
  // An entry that this side has changed is matched by its old meaning and by its new one.
  const open = new Map(
    Object.keys(here).map((id) => [
      id,
      [ownProperty(agreed, id), ownProperty(mine, id)].filter((entry) => entry !== undefined),
    ]),
  );
  // A number that the other side has written as at home is of the country that it has here, wherever the book is.
  const isOneOf = (known: readonly Entry[] = [], entry: Entry) =>
    [countries, []].some((some) => isAmong(collection, known, entry, some));
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
  // Identical entries are matched first, or two of one meaning on a card would swap places.
  for (const known of [mine, agreed])
    for (const [from, entry] of [...rest])
      if (open.has(from) && isSameJson(ownProperty(known, from), entry)) join(from, from, entry);
  for (const known of [mine, agreed])
    for (const [from, entry] of [...rest])
      join(
        [...open.keys()].find((id) => isSameJson(ownProperty(known, id), entry)),
        from,
        entry,
      );
  for (const [from, entry] of [...rest]) if (isOneOf(open.get(from), entry)) join(from, from, entry);
  for (const [from, entry] of [...rest])
    join([...open].find(([, known]) => isOneOf(known, entry))?.[0], from, entry);
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
    join(isTaken ? freeId(collection, entry, taken) : from, from, entry);
  }
  // In this side's order, so that a mere reordering doesn't look like a change.
  const known = Object.keys(here).filter((id) => Object.hasOwn(entries, id));
  const inOrder = [...known, ...Object.keys(entries).filter((id) => !Object.hasOwn(here, id))];
  return {
    idOf,
    entries: Object.fromEntries(inOrder.flatMap((id) => withId(id, entries))),
  };
}

function withId(id: string, entries: Entries): readonly (readonly [string, Entry])[] {
  const entry = ownProperty(entries, id);
  return entry ? [[id, entry]] : [];
}

function labelsOf({ contexts, features, kind, label }: Entry): unknown {
  return { contexts, features, kind, label };
}

function freeId(collection: United, entry: Entry, taken: Entries): string {
  if (collection in ID_PREFIXES) return idFor(collection as Collection, entry, taken);
  let count = 1;
  while (Object.hasOwn(taken, `x${count}`)) count += 1;
  return `x${count}`;
}
