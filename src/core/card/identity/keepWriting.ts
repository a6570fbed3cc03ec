import { foldStrictly, isObject, isSameJson, ownProperty } from '@/core/base';

import type { Card } from '../schema/types';
import { isSameTag } from '../tags';
import { carriersOf } from './carriers';
import { compareEntries, type Entry, UNITED } from './compareEntries';
import { isBetterText } from './sameness';

/**
 * A card with what a newer version of it says, but where the two say the same, as it was written: unless it is better written there.
 *
 * @param countries - ISO 3166-1 alpha-2, by which numbers without a country code are read
 */
export function keepWriting(now: Card, newer: Card, countries: readonly string[]): Card {
  const kept: Record<string, unknown> = { ...newer };
  for (const collection of UNITED) {
    const known = now[collection] as Readonly<Record<string, Entry>> | undefined;
    const fresh = newer[collection] as Readonly<Record<string, Entry>> | undefined;
    if (!known || !fresh || isSameJson(known, fresh)) continue;
    const entries = Object.entries(fresh).map(([id, entry]): [string, Entry] => {
      const old = ownProperty(known, id);
      if (!old || compareEntries(collection, old, entry, countries) !== 'same') return [id, entry];
      const whole: Record<string, unknown> = { ...entry };
      for (const key of carriersOf(collection))
        if (Object.hasOwn(old, key)) whole[key] = old[key];
        else delete whole[key];
      return [id, whole];
    });
    kept[collection] = Object.fromEntries(entries);
  }
  if (now.name && newer.name) kept['name'] = betterOf(now.name, newer.name);
  if (now.keywords && newer.keywords) {
    const known = Object.keys(now.keywords);
    const tags = Object.entries(newer.keywords).filter(
      ([tag]) => known.includes(tag) || !known.some((one) => isSameTag(one, tag)),
    );
    kept['keywords'] = Object.fromEntries(tags);
  }
  // Each property is of the one card or the other.
  return kept as unknown as Card;
}

/** Of texts that differ in their writing only the better one, at any depth. */
function betterOf(now: unknown, newer: unknown): unknown {
  if (typeof now === 'string' && typeof newer === 'string') {
    const isSame = foldStrictly(now) === foldStrictly(newer);
    return isSame && !isBetterText(newer, now) ? now : newer;
  }
  if (Array.isArray(now) && Array.isArray(newer))
    return now.length === newer.length ? newer.map((one, i) => betterOf(now[i], one)) : newer;
  if (!isObject(now) || !isObject(newer)) return newer;
  return Object.fromEntries(
    Object.entries(newer).map(([key, value]) => [
      key,
      Object.hasOwn(now, key) ? betterOf(now[key], value) : value,
    ]),
  );
}
