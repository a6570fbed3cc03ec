import { isObject, isSameJson, type JsonObject, ownProperty } from '@/core/base';

import { type Collection, ID_PREFIXES, idFor } from '../nextId';

/**
 * A changed object on top of what its base has become meanwhile (in another page, by a sync): what was changed is
 * changed there too, everything else stays as it is now. Where both changed the same value, `mine` stands; what one side
 * has removed and the other changed stays changed, as whoever removed it did not know of that. Entries that both sides
 * have added under the same id are both there, mine under another one: "the first number" is p1 on either side.
 *
 * @param base - what both sides began with
 */
export function rebaseJson<T extends object>(base: T, mine: T, theirs: T): T {
  const renamed = new Map<string, string>();
  const merged = (rebaseValue(base, mine, theirs, [], renamed) ?? {}) as T;
  return renamed.size === 0 ? merged : (withNewNames(merged, mine, theirs, renamed) as T);
}

/** Entries of a collection lie two deep; they are removed as a whole, or not. */
const ENTRY = 2;

function rebaseValue(
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: readonly string[],
  renamed: Map<string, string>,
): unknown {
  if (isSameJson(base, theirs)) return mine;
  if (isSameJson(base, mine) || isSameJson(mine, theirs)) return theirs;
  const parts = [base, mine, theirs].map((value) =>
    value === undefined && path.length < ENTRY ? {} : value,
  );
  if (!parts.every(isMergeable)) return mine ?? theirs;
  const [was, here, there] = parts as [JsonObject, JsonObject, JsonObject];
  const merged: JsonObject = {};
  const twice: string[] = [];
  const [property = ''] = path;
  const isCollection = path.length === 1 && Object.hasOwn(ID_PREFIXES, property);
  for (const key of new Set([...Object.keys(there), ...Object.keys(here)])) {
    const [before, ours, others] = [ownProperty(was, key), ownProperty(here, key), ownProperty(there, key)];
    const isTwice = before === undefined && isObject(ours) && isObject(others) && !isSameJson(ours, others);
    if (isCollection && isTwice) {
      twice.push(key);
      merged[key] = others;
      continue;
    }
    const value = rebaseValue(before, ours, others, [...path, key], renamed);
    if (value !== undefined) merged[key] = value;
  }
  for (const key of twice) renamed.set(`${property}/${key}`, putBeside(property, merged, here[key], here));
  const isGone = Object.keys(merged).length === 0 && (mine === undefined || theirs === undefined);
  return isGone ? undefined : merged;
}

/** Puts an entry beside others, unless it is among them under whatever id. @returns its id */
function putBeside(property: string, merged: JsonObject, entry: unknown, taken: JsonObject): string {
  const known = Object.entries(merged).find(([, one]) => isSameJson(one, entry));
  if (known) return known[0];
  const id = idFor(property as Collection, entry, { ...taken, ...merged });
  merged[id] = entry;
  return id;
}

/**
 * Both of two objects of which neither began with the other: the values of `mine` where they differ, and of the entries of a
 * collection both.
 */
export function uniteJson<T extends object>(theirs: T, mine: T): T {
  const renamed = new Map<string, string>();
  const united = uniteValues(theirs as JsonObject, mine as JsonObject, [], renamed) as T;
  return renamed.size === 0 ? united : (withNewNames(united, mine, theirs, renamed) as T);
}

function uniteValues(
  theirs: JsonObject,
  mine: JsonObject,
  path: readonly string[],
  renamed: Map<string, string>,
): JsonObject {
  const united: JsonObject = { ...theirs };
  const [property = ''] = path;
  const isCollection = path.length === 1 && Object.hasOwn(ID_PREFIXES, property);
  for (const [key, value] of Object.entries(mine)) {
    const known = ownProperty(theirs, key);
    if (isCollection && isObject(known) && !isSameJson(known, value)) {
      renamed.set(`${property}/${key}`, putBeside(property, united, value, mine));
      continue;
    }
    Object.defineProperty(united, key, {
      value: isObject(known) && isObject(value) ? uniteValues(known, value, [...path, key], renamed) : value,
      ...{ enumerable: true, configurable: true, writable: true },
    });
  }
  return united;
}

/** A title names its organisation by the id of that (RFC 9553 §2.2.5). */
function withNewNames(
  merged: object,
  mine: object,
  theirs: object,
  renamed: ReadonlyMap<string, string>,
): object {
  const titles = ownProperty(merged as JsonObject, 'titles');
  if (!isObject(titles)) return merged;
  const [own, others] = [mine, theirs].map((card) => ownProperty(card as JsonObject, 'titles'));
  const entries = Object.entries(titles).map(([key, title]) => {
    const id = isObject(title) ? title['organizationId'] : undefined;
    const name = typeof id === 'string' ? renamed.get(`organizations/${id}`) : undefined;
    // Only those that this side wrote mean the organisation of this side.
    const isOwn = isObject(own) && Object.values(own).some((one) => isSameJson(one, title));
    const isTheirs = isObject(others) && isSameJson(ownProperty(others, key), title);
    return [
      key,
      name !== undefined && isOwn && !isTheirs && isObject(title)
        ? { ...title, organizationId: name }
        : title,
    ];
  });
  return { ...merged, titles: Object.fromEntries(entries) as JsonObject };
}

/** An object with a property called __proto__, which no path may lead to, is one value. */
function isMergeable(value: unknown): value is JsonObject {
  return isObject(value) && !Object.hasOwn(value, '__proto__');
}
