import { isObject, isSameJson, type JsonObject, ownProperty } from '@/core/base';
import { type Card, countriesOf, formatPointer, isSameValue, UNITED } from '@/core/card';

import { alignEntries, type Entries } from './alignEntries';
import { mergeTexts } from './mergeTexts';
import { componentsOf, type NamedParts, partsOf } from './namedParts';

/** A value that both sides have changed, differently. */
export interface Conflict {
  /** RFC 6901 without the slash at its head: phones/p1/number. */
  readonly path: string;
  readonly base?: unknown;
  /** The value in the merged card. */
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** A merged card and its conflicts. */
export interface Merged {
  readonly card: Card;
  readonly conflicts: readonly Conflict[];
}

/** What merging needs. */
export interface MergeOptions {
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country?: string;
  /** Whether both sides are as people wrote them: then another way of writing the same is a change as well. */
  readonly isWritten?: boolean;
}

/** Identity and dates, which are nobody's edit. */
const STAMPS = new Set(['@type', 'version', 'uid', 'created', 'updated', 'prodId']);

/**
 * Merges two versions of a card. A value changed on one side only is taken from that side; a reformatted value has
 * not changed, as programs do that by themselves; an edit beats a deletion; texts of notes are merged by lines; a value
 * changed differently on both sides is a conflict, and mine stands until it is settled.
 *
 * @param base - the card as both sides last had it; none of the three is changed
 */
export function mergeThree(
  base: Card,
  mine: Card,
  theirs: Card,
  { country, isWritten = false }: MergeOptions = {},
): Merged {
  const conflicts: Conflict[] = [];
  const countries = countriesOf(country, base, mine, theirs);
  const context: Context = { countries, isWritten, conflicts };
  const [myOwn, theirOwn] = alignBoth(base, mine, theirs, countries);
  const merged: JsonObject = {};
  for (const key of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = STAMPS.has(key)
      ? stampOf(key, mine, theirs)
      : mergeValue(
          [key],
          { base: ownProperty(base, key), mine: ownProperty(myOwn, key), theirs: ownProperty(theirOwn, key) },
          context,
        );
    if (value !== undefined) merged[key] = value;
  }
  // The result has the shape of the input: every property is theirs or mine.
  return { card: merged as unknown as Card, conflicts };
}

/** Both cards with the ids of entries that the base has, and with one id for what both have added. */
function alignBoth(
  base: Card,
  mine: Card,
  theirs: Card,
  countries: readonly string[],
): [JsonObject, JsonObject] {
  const my: JsonObject = { ...mine };
  const their: JsonObject = { ...theirs };
  for (const collection of UNITED) {
    if (!my[collection] && !their[collection]) continue;
    const agreed = (base[collection] ?? {}) as Entries;
    const ours = alignEntries(collection, { agreed }, (my[collection] ?? {}) as Entries, countries);
    const entries = (their[collection] ?? {}) as Entries;
    const others = alignEntries(collection, { agreed, mine: ours.entries }, entries, countries);
    if (my[collection]) my[collection] = ours.entries;
    if (their[collection]) their[collection] = others.entries;
    if (collection !== 'organizations') continue;
    my['titles'] = withHouses(my['titles'], ours.idOf);
    their['titles'] = withHouses(their['titles'], others.idOf);
  }
  return [my, their];
}

/** Titles refer to their organisation by its id. */
function withHouses(titles: unknown, idOf: ReadonlyMap<string, string>): unknown {
  if (!isObject(titles)) return titles;
  return Object.fromEntries(
    Object.entries(titles).map(([id, title]) => {
      const house = isObject(title) ? title['organizationId'] : undefined;
      if (typeof house !== 'string' || !isObject(title)) return [id, title];
      return [id, { ...title, organizationId: idOf.get(house) ?? house }];
    }),
  );
}

interface Context {
  readonly countries: readonly string[];
  readonly isWritten: boolean;
  readonly conflicts: Conflict[];
}

interface Three {
  readonly base: unknown;
  readonly mine: unknown;
  readonly theirs: unknown;
}

function stampOf(key: string, mine: Card, theirs: Card): unknown {
  const [a, b] = [
    ownProperty(mine as unknown as JsonObject, key),
    ownProperty(theirs as unknown as JsonObject, key),
  ];
  if (key === 'updated' && typeof a === 'string' && typeof b === 'string') return a > b ? a : b;
  return a ?? b;
}

function mergeValue(path: readonly string[], { base, mine, theirs }: Three, context: Context): unknown {
  if (isSameJson(base, mine) && context.isWritten) return theirs;
  const isSame = (a: unknown, b: unknown) => isSameValue(path, a, b, context.countries);
  if (isSame(mine, theirs) || isSame(base, theirs)) return mine;
  if (isSame(base, mine)) return theirs;
  // Both have changed it. An edit is never lost to a deletion.
  if (mine === undefined) return theirs;
  if (theirs === undefined) return mine;
  if (isObject(mine) && isObject(theirs)) return mergeObject(path, { base, mine, theirs }, context);
  const parts = [base, mine, theirs].map((value) => (value === undefined ? {} : partsOf(value)));
  if (parts.every((one): one is NamedParts => one !== undefined)) {
    const [was = {}, my = {}, their = {}] = parts;
    const both = mergeObject(path, { base: was, mine: my, theirs: their }, context);
    return componentsOf(both as NamedParts, mine, theirs);
  }
  const texts = [base, mine, theirs];
  if (isTextOfNote(path) && texts.every((text) => typeof text === 'string')) {
    const merged = mergeTexts(...(texts as [string, string, string]));
    if (merged !== undefined) return merged;
  }
  context.conflicts.push({
    path: formatPointer(path),
    ...(base === undefined ? {} : { base }),
    mine,
    theirs,
  });
  return mine;
}

function isTextOfNote([collection, , property, ...rest]: readonly string[]): boolean {
  return collection === 'notes' && property === 'note' && rest.length === 0;
}

function mergeObject(
  path: readonly string[],
  { base, mine, theirs }: Three,
  context: Context,
): JsonObject | undefined {
  const [was, my, their] = [base, mine, theirs].map((value) => (isObject(value) ? value : {}));
  const merged: JsonObject = {};
  for (const key of new Set([...Object.keys(my ?? {}), ...Object.keys(their ?? {})])) {
    const three = {
      base: ownProperty(was ?? {}, key),
      mine: ownProperty(my ?? {}, key),
      theirs: ownProperty(their ?? {}, key),
    };
    const value = mergeValue([...path, key], three, context);
    if (value !== undefined) merged[key] = value;
  }
  return Object.keys(merged).length === 0 ? undefined : merged;
}
