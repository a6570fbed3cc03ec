import { isObject, type JsonObject, ownProperty } from '@/core/base';
import { type Card, countriesOf, isSameValue, shownAs, UNITED, type United } from '@/core/card';

import { alignEntries, type Entries } from './alignEntries';
import { componentsOf, type NamedParts, partsOf } from './namedParts';

/** What a device has been seen to keep: how many entries of a collection at most, and which parts of them. */
export type Keeps = Readonly<Record<string, number>>;

/** A card as a device was served it, and as it sends it. */
export interface DeviceSays {
  /** The whole card at the time the device was served. */
  readonly known: Card;
  /** The part it was served, read back in the format it sends. */
  readonly served: Card;
  readonly sent: Card;
  /** What it has been seen to keep before. */
  readonly keeps: Keeps;
  /** ISO 3166-1 alpha-2, for numbers without a country code. */
  readonly country?: string;
}

/** Identity, dates, and properties private to a format. */
const STAMPS = new Set([
  '@type',
  'version',
  'uid',
  'created',
  'updated',
  'prodId',
  'kind',
  'vCardProps',
  'language',
]);

/**
 * The card as the device has made it: what it sends where that says something else than what it was served; what it was
 * served where it only writes it otherwise; and what it doesn't send stays, unless the device has been seen to keep such
 * things and so has taken it away.
 */
export function deviceChange({ known, served, sent, keeps, country }: DeviceSays): Card {
  const changed: JsonObject = { ...known };
  const united = new Set<string>(UNITED);
  // A device that sends some members keeps members: the missing ones have been removed.
  const countries = countriesOf(country, known, sent);
  const context = { keeps: sent.members ? { ...keeps, members: 1 } : keeps, countries };
  for (const key of new Set([...Object.keys(served), ...Object.keys(sent)])) {
    if (STAMPS.has(key) || key.startsWith('cordialis.example:')) continue;
    const [was, is] =
      key === 'name'
        ? namesOf(served, sent)
        : [ownProperty({ ...served }, key), ownProperty({ ...sent }, key)];
    const value = united.has(key)
      ? changedEntries(key as United, { known: known[key as United], was, is }, context)
      : changedValue([key], { known: ownProperty({ ...known }, key), was, is }, context);
    if (value === undefined) delete changed[key];
    else changed[key] = value;
  }
  // The result has the shape of the input: every property is from one of the two cards.
  return changed as unknown as Card;
}

/**
 * Both names with what is shown for them: one side may have worked out what the other has written down. Where all words
 * are the same and only divided or ordered otherwise, as N of vCard 3.0 does it, that is no change.
 */
function namesOf(served: Card, sent: Card): [unknown, unknown] {
  const [was, is] = [served, sent].map((card) =>
    card.name ? { ...card.name, full: shownAs(card) } : undefined,
  );
  const isSame = was?.components && is?.components && wordsOf(was.components) === wordsOf(is.components);
  return [was, isSame && was.components ? { ...is, components: was.components } : is];
}

/** The words of a name by their kinds, second surnames among the surnames. */
function wordsOf(components: readonly { readonly kind: string; readonly value: string }[]): string {
  const byKind = new Map<string, string>();
  for (const { kind, value } of components) {
    if (kind === 'separator') continue;
    const key = kind === 'surname2' ? 'surname' : kind;
    byKind.set(key, `${byKind.get(key) ?? ''} ${value}`.trim());
  }
  return JSON.stringify([...byKind].sort(([a], [b]) => (a < b ? -1 : 1)));
}

interface Context {
  readonly keeps: Keeps;
  readonly countries: readonly string[];
}

interface Values {
  readonly known: unknown;
  readonly was: unknown;
  readonly is: unknown;
}

function changedEntries(
  collection: United,
  { known, was, is }: Values,
  context: Context,
): JsonObject | undefined {
  const agreed = (known ?? {}) as Entries;
  const { countries, keeps } = context;
  const before = alignEntries(collection, { agreed }, plain((was ?? {}) as Entries), countries).entries;
  const after = alignEntries(collection, { agreed }, plain((is ?? {}) as Entries), countries).entries;
  const result: JsonObject = { ...agreed };
  for (const [id, entry] of Object.entries(after)) {
    const old = ownProperty(before, id);
    const value = old
      ? changedValue(
          [collection, id],
          { known: ownProperty(agreed, id) ?? old, was: old, is: entry },
          context,
        )
      : entry;
    if (value !== undefined) result[id] = value;
  }
  const missing = Object.keys(before).filter((id) => !Object.hasOwn(after, id));
  // It has been seen to keep as many as it was served, so it could have kept these too.
  if (missing.length > 0 && (keeps[collection] ?? 0) >= Object.keys(before).length)
    for (const id of missing) delete result[id];
  return Object.keys(result).length === 0 ? undefined : result;
}

/**
 * "Voice" is what a number is for where nothing is said (RFC 6350 §6.4.1): many write it with every one, and mean
 * nothing.
 */
function plain(entries: Entries): Entries {
  return Object.fromEntries(
    Object.entries(entries).map(([id, { features, ...entry }]) => {
      if (!isObject(features)) return [id, features === undefined ? entry : { ...entry, features }];
      const { voice: _, ...others } = features;
      return [id, Object.keys(others).length === 0 ? entry : { ...entry, features: others }];
    }),
  );
}

function changedValue(path: readonly string[], { known, was, is }: Values, context: Context): unknown {
  if (isSameValue(path, was, is, context.countries)) return known;
  // Each context and feature is judged by itself: a device that keeps "mobile" may not know the others.
  if (is === undefined && isSetOf(path) && isObject(was))
    return changedObject(path, { known, was, is: {} }, context);
  if (is === undefined) return (context.keeps[keepKey(path)] ?? 0) > 0 ? undefined : known;
  const parts = [was, is].map((value) => (Array.isArray(value) ? partsOf(value) : undefined));
  const [before, after] = parts;
  const whole = Array.isArray(known) ? partsOf(known) : undefined;
  if (before && after && whole) {
    const named = changedObject(path, { known: whole, was: before, is: after }, context);
    return componentsOf(named as NamedParts | undefined, known, is);
  }
  if (isObject(was) && isObject(is)) return changedObject(path, { known, was, is }, context);
  return is;
}

function changedObject(
  path: readonly string[],
  { known, was, is }: Values,
  context: Context,
): JsonObject | undefined {
  const result: JsonObject = isObject(known) ? { ...known } : {};
  const [before, after] = [isObject(was) ? was : {}, isObject(is) ? is : {}];
  for (const key of new Set([...Object.keys(before), ...Object.keys(after)])) {
    const values = {
      known: ownProperty(result, key),
      was: ownProperty(before, key),
      is: ownProperty(after, key),
    };
    // A missing part of a name was deleted: a device that keeps names keeps all their parts.
    const isPart = path.at(-1) === 'components' && values.is === undefined;
    const value = isPart ? undefined : changedValue([...path, key], values, context);
    if (value === undefined) delete result[key];
    else result[key] = value;
  }
  return Object.keys(result).length === 0 ? undefined : result;
}

/** Whether a path leads to the contexts or features of an entry. */
function isSetOf(path: readonly string[]): boolean {
  return path.length === 3 && (path[2] === 'contexts' || path[2] === 'features');
}

/** Sets that a device keeps whole or not at all. */
const SETS = new Set(['keywords', 'members']);

/** What a device has been seen to keep is noted without the ids of entries. */
function keepKey(path: readonly string[]): string {
  const [collection = '', id, ...rest] = path;
  if (id === undefined || SETS.has(collection)) return collection;
  return (UNITED as readonly string[]).includes(collection)
    ? [collection, ...rest].join('/')
    : path.join('/');
}

/** What a device keeps, updated by a card it has sent. */
export function noteKeeps(keeps: Keeps, sent: Card): Keeps {
  const noted: Record<string, number> = { ...keeps };
  const note = (key: string, count: number) => {
    if (count > (noted[key] ?? 0)) noted[key] = count;
  };
  for (const [key, value] of Object.entries(sent)) {
    if (STAMPS.has(key)) continue;
    if (!(UNITED as readonly string[]).includes(key)) note(key, 1);
    else {
      const entries = Object.entries(plain((value ?? {}) as Entries));
      note(key, entries.length);
      for (const [id, entry] of entries)
        for (const [part, said] of Object.entries(entry)) {
          note(`${key}/${part}`, 1);
          if (isSetOf([key, id, part]) && isObject(said))
            for (const flag of Object.keys(said)) note(`${key}/${part}/${flag}`, 1);
        }
    }
  }
  return noted;
}
