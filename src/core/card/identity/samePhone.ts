import { foldStrictly } from '@/core/base';

import { type ParsedPhone, parseInPlan, parsePhone } from '../phone/parsePhone';
import type { Sameness } from './sameness';

/** A number, read without knowing which other one it is compared with. */
interface Read {
  /** What it is abroad, where it says so itself or by the countries it may be of; the likeliest first. */
  readonly abroad: readonly ParsedPhone[];
  readonly isInternational: boolean;
  readonly digits: string;
  readonly extension: string;
}

/**
 * What one number says beside another. By E.164; a number without a country code is read by the countries given, and where it is none of
 * theirs as one of the country of the other number, since both stand on cards of the same person. An extension is part of a number.
 *
 * @param countries - ISO 3166-1 alpha-2, of the cards' addresses and of the book
 */
export function compareNumbers(known: string, fresh: string, countries: readonly string[]): Sameness {
  if (known === fresh) return 'same';
  const quick = compareDigits(known, fresh);
  if (quick) return quick;
  const [mine, theirs] = [read(known, countries), read(fresh, countries)];
  if (mine.extension !== theirs.extension || !isSame(mine, theirs)) return 'different';
  if (mine.isInternational !== theirs.isInternational) return theirs.isInternational ? 'better' : 'same';
  return fresh.length > known.length ? 'better' : 'same';
}

/** Digits at the end of a number that no way of writing it changes. */
const TAIL = 6;
const PLAIN = /^[+\d\s().\u00a0/-]+$/;

/** What can be told without reading numbers, which takes its time; undefined where it can't. */
function compareDigits(known: string, fresh: string): Sameness | undefined {
  if (!PLAIN.test(known) || !PLAIN.test(fresh)) return undefined;
  const [mine, theirs] = [known.replace(/\D/g, ''), fresh.replace(/\D/g, '')];
  const isShort = mine.length < TAIL || theirs.length < TAIL;
  if (!isShort && mine.slice(-TAIL) !== theirs.slice(-TAIL)) return 'different';
  if (mine !== theirs || known.includes('+') !== fresh.includes('+')) return undefined;
  return fresh.length > known.length ? 'better' : 'same';
}

function isSame(mine: Read, theirs: Read): boolean {
  const e164s = new Set(mine.abroad.map(({ e164 }) => e164));
  if (theirs.abroad.some(({ e164 }) => e164s.has(e164))) return true;
  if (mine.isInternational && theirs.isInternational)
    return mine.digits !== '' && mine.digits === theirs.digits;
  for (const [abroad, home] of [
    [mine, theirs],
    [theirs, mine],
  ] as const) {
    const [plan] = abroad.abroad;
    const isKnown = home.abroad.some(({ isValid }) => isValid);
    if (!abroad.isInternational || home.isInternational || isKnown || !plan) continue;
    if (parseInPlan(home.digits, plan.callingCode)?.e164 === plan.e164) return true;
  }
  return !mine.isInternational && !theirs.isInternational && mine.digits === theirs.digits;
}

/** Numbers that have been read before: they recur wherever cards are compared. */
const cache = new Map<string, Read>();
const MAX_CACHED = 20_000;

function read(text: string, countries: readonly string[]): Read {
  const key = `${countries.join()} ${text}`;
  const known = cache.get(key);
  if (known) return known;
  if (cache.size >= MAX_CACHED) cache.clear();
  const made = readNew(text, countries);
  cache.set(key, made);
  return made;
}

function readNew(text: string, countries: readonly string[]): Read {
  const own = parsePhone(text);
  const read = own ? [own] : countries.flatMap((country) => parsePhone(text, country) ?? []);
  // Of several countries it is that in which there is such a number.
  const valid = read.filter(({ isValid }) => isValid);
  const all = valid.length > 0 ? valid : read;
  const extension = all[0]?.extension ?? '';
  const plain = foldStrictly(text).replace(/^tel:/, '');
  // Words, such as the number of a shop that is dialled by its letters, are compared as they stand.
  const kept = /\d/.test(plain) ? plain.replace(/[^\d+*#\p{L}]/gu, '') : plain;
  return { abroad: all, isInternational: own !== undefined, digits: own ? own.e164 : kept, extension };
}
