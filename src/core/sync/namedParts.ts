import { isObject, type JsonObject } from '@/core/base';

/** The components of a name or an address by their kinds, so that two sides may each change another one. */
export type NamedParts = Readonly<Record<string, JsonObject>>;

/**
 * Components (RFC 9553 §1.6) by their kinds, numbered where a kind comes twice.
 *
 * @returns undefined for what is no list of components, or has separators, whose places would be lost
 */
export function partsOf(value: unknown): NamedParts | undefined {
  if (!Array.isArray(value)) return undefined;
  const parts: Record<string, JsonObject> = {};
  for (const item of value as unknown[]) {
    if (!isObject(item) || typeof item['kind'] !== 'string' || item['kind'] === 'separator') return undefined;
    let key = item['kind'];
    for (let count = 2; Object.hasOwn(parts, key); count += 1) key = `${item['kind']} ${count}`;
    parts[key] = item;
  }
  return parts;
}

/** The list again: in the order that mine has, what only theirs has behind what stood before it there. */
export function componentsOf(parts: NamedParts | undefined, mine: unknown, theirs: unknown): JsonObject[] {
  const order = Object.keys(partsOf(mine) ?? {});
  const others = Object.keys(partsOf(theirs) ?? {});
  for (const [i, key] of others.entries()) {
    if (order.includes(key)) continue;
    const before = others.slice(0, i).findLast((one) => order.includes(one));
    // Of one kind the second stays behind the first, or they would change places with each merge.
    const first = order.findLastIndex((one) => one.replace(/ \d+$/, '') === key.replace(/ \d+$/, ''));
    order.splice(Math.max(order.indexOf(before ?? '') + 1, first + 1), 0, key);
  }
  return order.flatMap((key): JsonObject[] => (parts?.[key] ? [parts[key]] : []));
}
