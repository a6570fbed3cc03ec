import { foldStrictly, isObject, isSameJson, type PartialDate, toPartialDate } from '@/core/base';

import type { Address, Anniversary } from '../schema/types';
import { normalizeAddress } from './normalizeAddress';
import { normalizeUri } from './normalizeUri';
import { organisationKey } from './organisationWords';
import { compareAddresses } from './sameAddress';
import { isBetterText, type Sameness } from './sameness';
import { compareNumbers } from './samePhone';

/** Collections of a card whose entries are united when cards are merged. */
export const UNITED = [
  ...(['organizations', 'titles', 'nicknames', 'emails', 'phones', 'addresses', 'onlineServices'] as const),
  ...(['links', 'anniversaries', 'personalInfo', 'preferredLanguages', 'notes', 'media'] as const),
  ...(['calendars', 'schedulingAddresses', 'directories', 'cryptoKeys'] as const),
  ...(['cordialis.example:fields', 'cordialis.example:followUps', 'cordialis.example:meetings'] as const),
] as const;

/** One of them. */
export type United = (typeof UNITED)[number];

/** An entry of any collection. */
export type Entry = Readonly<Record<string, unknown>>;

/**
 * What one entry says beside another of the same collection: this alone decides what is the same, wherever that is asked. Titles name their
 * organisations by ids that must mean the same on both cards. Labels of most entries and contexts are no part of what they say.
 *
 * @param countries - ISO 3166-1 alpha-2, by which numbers without a country code are read (`countriesOf`)
 */
export function compareEntries(
  collection: United,
  known: Entry,
  fresh: Entry,
  countries: readonly string[],
): Sameness {
  if (isSameJson(known, fresh)) return 'same';
  const text = (key: string): [string, string] => [textOf(known[key]), textOf(fresh[key])];
  switch (collection) {
    case 'phones':
      return compareNumbers(...text('number'), countries);
    case 'emails':
      return byKey(normalizeAddress, ...text('address'));
    case 'addresses':
      return compareAddresses(known as Address, fresh as Address);
    case 'organizations':
      return all(byKey(organisationKey, ...text('name')), compareUnits(unitsOf(known), unitsOf(fresh)));
    case 'titles':
      return all(
        whether((known['kind'] ?? 'title') === (fresh['kind'] ?? 'title')),
        byKey(foldStrictly, ...text('name')),
        optional(known['organizationId'], fresh['organizationId']),
      );
    case 'nicknames':
      return byKey(foldStrictly, ...text('name'));
    case 'onlineServices':
      return compareAccounts(known, fresh);
    case 'anniversaries':
      return compareDays(known as Anniversary, fresh as Anniversary);
    case 'notes':
      return byKey(foldStrictly, ...text('note'));
    case 'preferredLanguages':
      return byKey(foldStrictly, ...text('language'));
    case 'personalInfo':
      return all(whether(known['kind'] === fresh['kind']), byKey(foldStrictly, ...text('value')));
    case 'links':
    case 'calendars':
    case 'directories':
    case 'schedulingAddresses':
    case 'cryptoKeys':
      return all(optional(known['kind'], fresh['kind']), byKey(normalizeUri, ...text('uri')));
    case 'media':
      return whether(
        known['kind'] === fresh['kind'] &&
          known['uri'] === fresh['uri'] &&
          known['blobId'] === fresh['blobId'] &&
          (known['uri'] ?? known['blobId']) !== undefined,
      );
    case 'cordialis.example:fields':
      return all(byKey(foldStrictly, ...text('label')), byKey(foldStrictly, ...text('value')));
    case 'cordialis.example:followUps':
    case 'cordialis.example:meetings':
      return 'different';
  }
}

/** Whether one of some entries says the same as another one, however it is written. */
export function isAmong(
  collection: United,
  known: Iterable<object>,
  entry: object,
  countries: readonly string[],
): boolean {
  for (const one of known)
    if (compareEntries(collection, one as Entry, entry as Entry, countries) !== 'different') return true;
  return false;
}

/** Where all are the same: better where one of them is. */
function all(...parts: readonly Sameness[]): Sameness {
  if (parts.includes('different')) return 'different';
  return parts.includes('better') ? 'better' : 'same';
}

const whether = (isSame: boolean): Sameness => (isSame ? 'same' : 'different');

/** Something that one of them may leave out. */
function optional(known: unknown, fresh: unknown): Sameness {
  if (isSameJson(known, fresh)) return 'same';
  if (fresh === undefined) return 'same';
  return known === undefined ? 'better' : 'different';
}

function byKey(keyOf: (text: string) => string, known: string, fresh: string): Sameness {
  if (known === fresh) return 'same';
  const key = keyOf(known);
  // What has no key, such as a name of signs only, is itself.
  if (key === '' || key !== keyOf(fresh)) return 'different';
  return isBetterText(fresh, known) ? 'better' : 'same';
}

/** Units of an organisation, the largest first; who names fewer of them may mean the same. */
function compareUnits(known: readonly string[], fresh: readonly string[]): Sameness {
  const shared = Math.min(known.length, fresh.length);
  for (let i = 0; i < shared; i += 1)
    if (foldStrictly(known[i] ?? '') !== foldStrictly(fresh[i] ?? '')) return 'different';
  return fresh.length > known.length ? 'better' : 'same';
}

function unitsOf({ units }: Entry): string[] {
  return Array.isArray(units) ? units.map((unit) => (isObject(unit) ? textOf(unit['name']) : '')) : [];
}

/** Accounts of one service are the same by their name there, or by their address. */
function compareAccounts(known: Entry, fresh: Entry): Sameness {
  const of = (key: string, keyFor: (text: string) => string) =>
    [known, fresh].map((one) => (one[key] === undefined ? undefined : keyFor(textOf(one[key]))));
  const service = of('service', foldStrictly);
  const ways = [of('user', foldStrictly), of('uri', normalizeUri)];
  const isOther = ([mine, theirs]: readonly (string | undefined)[]) =>
    mine !== undefined && theirs !== undefined && mine !== theirs;
  if ([service, ...ways].some(isOther)) return 'different';
  if (!ways.some(([mine, theirs]) => mine !== undefined && mine !== '' && mine === theirs))
    return 'different';
  return Object.keys(fresh).length > Object.keys(known).length ? 'better' : 'same';
}

const PARTS = ['year', 'month', 'day'] as const;
/** Days of which somebody has one. */
const OF_ONE = new Set(['birth', 'death']);

/** A day is one by its kind, its date and its label; the same with its year says more. */
function compareDays(known: Anniversary, fresh: Anniversary): Sameness {
  const [mine, theirs] = [toPartialDate(known.date), toPartialDate(fresh.date)];
  const [here = '', there = ''] = [known, fresh].map((one) => foldStrictly(textOf((one as Entry)['label'])));
  const isOther = here !== there && (!OF_ONE.has(known.kind) || (here !== '' && there !== ''));
  if (known.kind !== fresh.kind || isOther || scaleOf(mine) !== scaleOf(theirs)) return 'different';
  const parts = PARTS.map((part) => optional(mine[part], theirs[part]));
  // Each says a part that the other doesn't.
  const isLess = PARTS.some((part) => mine[part] !== undefined && theirs[part] === undefined);
  if (isLess && parts.includes('better')) return 'different';
  return all(...parts, 'utc' in fresh.date && !('utc' in known.date) ? 'better' : 'same');
}

function scaleOf({ calendarScale = 'gregorian' }: PartialDate): string {
  return calendarScale;
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value : '';
}
