import { isObject } from '@/core/base';
import type { Card } from '@/core/card';

/** Properties shown from all cards of a bundle; everything else is from the lead. */
const JOINT = [
  'titles',
  'organizations',
  'phones',
  'emails',
  'addresses',
  'onlineServices',
  'links',
  'anniversaries',
  'media',
] as const;

/** Of these, the first card that has a value counts. */
const FIRST = [
  'name',
  'cordialis.example:opener',
  'cordialis.example:due',
  'cordialis.example:rhythm',
] as const;

/**
 * A bundle as one card, for reading only: entries of all, those of the first before the others, under ids that name the
 * card they are of. It is never stored.
 */
export function jointCard(lead: Card, others: readonly Card[]): Card {
  if (others.length === 0) return lead;
  const joint: Record<string, unknown> = { ...lead };
  for (const collection of JOINT) {
    const entries: Record<string, unknown> = { ...lead[collection] };
    others.forEach((other, i) => {
      for (const [id, entry] of Object.entries(other[collection] ?? {}))
        entries[`${id}-${i + 1}`] = withoutPreference(entry, Object.keys(lead[collection] ?? {}).length > 0);
    });
    if (Object.keys(entries).length > 0) joint[collection] = entries;
  }
  for (const key of FIRST) joint[key] ??= others.find((other) => other[key] !== undefined)?.[key];
  for (const key of FIRST) if (joint[key] === undefined) delete joint[key];
  // Entries of valid cards, in the collections they were in.
  return joint as Card;
}

/** Where the first card has entries of its own, none of another is preferred to them. */
function withoutPreference(entry: unknown, hasOwn: boolean): unknown {
  if (!hasOwn || !isObject(entry)) return entry;
  const { pref: _, ...rest } = entry;
  return rest;
}
