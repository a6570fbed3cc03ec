import { parseTypedDate } from '@/core/base';

import { formatIsoPartial } from './isoPartial';
import { listAt } from './limitParts';
import type { LineBook } from './lineBook';
import { readSpan } from './lineDays';
import { beginsWith, type LineToken, rawOf } from './lineTokens';
import { FIELD_NOUNS, KIND_WORDS, RHYTHMS } from './lineWords.data';
import type { LineValue } from './reading';

/** Values read at the beginning of some words. */
export interface ReadValues {
  readonly values: readonly LineValue[];
  readonly taken: number;
}

const MAIL = /^<?[^\s@<>,;]+@[^\s@<>,;]+\.[^\s@<>,;]{2,}>?$/u;
const WEB =
  /^(?:https?:\/\/\S+|www\.\S+\.\S+|[a-z\d-]+(?:\.[a-z\d-]+)*\.(?:com|org|net|example|eu|info|[a-z]{2})(?:\/\S*)?)$/iu;
const PHONE_PART = /^[+(]?[\d()./-]*\d[\d()./-]*$/;
const MIN_DIGITS = 6;
/** Words between values that say nothing. */
const JOINTS = new Set([
  'and',
  'with',
  'is',
  'are',
  'has',
  'also',
  'her',
  'his',
  'their',
  'its',
  'to',
  'as',
  'now',
  'the',
  'a',
  'an',
  'new',
  '&',
  'plus',
  'add',
  'put',
  'under',
  'at:',
  'him',
  'them',
  'my',
]);

/** All of some words as values; undefined where a word is left over. @param isNew - for a card that isn't there yet */
export function allValues(
  tokens: readonly LineToken[],
  book: LineBook,
  isNew = false,
): LineValue[] | undefined {
  const values: LineValue[] = [];
  let at = 0;
  while (at < tokens.length) {
    const rest = tokens.slice(at);
    const read = readValue(rest, book, isNew);
    if (read) {
      values.push(...read.values);
      at += read.taken;
    } else if (JOINTS.has(rest[0]?.low ?? '') || rest[0]?.low === "'s") at += 1;
    else return undefined;
  }
  return values;
}

/** One value, or several that belong together, at the beginning of some words. */
export function readValue(
  tokens: readonly LineToken[],
  book: LineBook,
  isNew: boolean,
): ReadValues | undefined {
  const [first] = tokens;
  if (!first) return undefined;
  return (
    readNamedField(tokens, book) ??
    readBare(tokens) ??
    readListOrTag(tokens, book) ??
    readPhrase(tokens, book) ??
    (isNew ? readLoose(tokens, book) : undefined)
  );
}

function one(field: string, value: string, taken: number): ReadValues {
  return { values: [{ field, value }], taken };
}

/** Mail, web and numbers say themselves what they are. */
function readBare(tokens: readonly LineToken[], kind?: string): ReadValues | undefined {
  const [{ raw, low }] = tokens as [LineToken];
  const field = (name: string) => (kind === undefined ? name : `${name}:${kind}`);
  if (MAIL.test(raw)) return one(field('mail'), raw.replace(/^<|>$/g, ''), 1);
  if (WEB.test(raw) && !/^\d/.test(low)) return one('web', raw, 1);
  if (/^#\S/.test(raw)) return one('tag', raw.slice(1), 1);
  const parts: string[] = [];
  for (const token of tokens) {
    if (!PHONE_PART.test(token.raw) || isDay(token.raw)) break;
    parts.push(token.raw);
    if (token.sign === ',' || token.sign === ';') break;
  }
  if (parts.join('').replace(/\D/g, '').length < MIN_DIGITS) return undefined;
  return one(field('number'), parts.join(' '), parts.length);
}

function isDay(text: string): boolean {
  return /^\d{4}([-/.])\d{1,2}\1\d{1,2}$|^\d{1,2}([-/.])\d{1,2}\2\d{2,4}$/.test(text);
}

/** "work number 020 …", "note likes tea", "birthday 3 may", "title conductor". */
function readNamedField(tokens: readonly LineToken[], book: LineBook): ReadValues | undefined {
  let at = 0;
  while (
    at < tokens.length &&
    ['new', 'the', 'a', 'her', 'his', 'their', 'my'].includes(tokens[at]?.low ?? '')
  )
    at += 1;
  const kind = KIND_WORDS[tokens[at]?.low ?? ''];
  const [field, words] =
    fieldAt(tokens.slice(kind === undefined ? at : at + 1)) ?? fieldAt(tokens.slice(at)) ?? [];
  if (field === undefined || words === undefined) return undefined;
  const hasKind = kind !== undefined && fieldAt(tokens.slice(at + 1)) !== undefined;
  let from = at + words + (hasKind ? 1 : 0);
  while (['is', 'to', 'as', 'are', 'of'].includes(tokens[from]?.low ?? '')) from += 1;
  const rest = tokens.slice(from);
  if (rest.length === 0) return undefined;
  const [plain = ''] = field.split(':');
  if (plain === 'mail' || plain === 'number' || plain === 'web') {
    const suffix = field.includes(':') ? field.split(':')[1] : hasKind ? kind : undefined;
    const bare = readBare(rest, suffix);
    if (bare?.values[0]?.field.split(':')[0] !== plain) return undefined;
    return { ...bare, taken: from + bare.taken };
  }
  if (plain === 'birthday') {
    const day = readBirthday(rest);
    return day && one('birthday', day.value, from + day.taken);
  }
  if (plain === 'note' || plain === 'opener')
    return { values: [{ field: plain, value: rawOf(rest) }], taken: tokens.length };
  if (['title', 'organisation', 'nickname', 'town', 'address', 'pronouns'].includes(plain)) {
    const count = untilNext(rest, book);
    return one(plain, rawOf(rest.slice(0, count)).replace(/,$/, ''), from + count);
  }
  return undefined;
}

/** The kind of value whose name some words begin with, and how many words that is. */
export function fieldAt(tokens: readonly LineToken[]): [string, number] | undefined {
  for (let count = 2; count > 0; count -= 1) {
    if (tokens.length < count) continue;
    const words = tokens
      .slice(0, count)
      .map(({ low }) => low)
      .join(' ');
    const field = Object.hasOwn(FIELD_NOUNS, words) ? FIELD_NOUNS[words] : undefined;
    if (field !== undefined) return [field, count];
  }
  return undefined;
}

/** "on patrons", "tag choir", "tagged as choir". */
function readListOrTag(tokens: readonly LineToken[], book: LineBook): ReadValues | undefined {
  const [first = ''] = tokens.map(({ low }) => low);
  if (['on', 'to', 'onto', 'list', 'in'].includes(first) && tokens.length > 1) {
    let from = 1;
    while (['the', 'list', 'my'].includes(tokens[from]?.low ?? '')) from += 1;
    // "in bergen" is a town unless it is said to be a list.
    const list = listAt(
      tokens,
      from,
      book,
      ({ isByHand }, isCalledList) => isByHand && (first !== 'in' || isCalledList),
    );
    if (list) return one('list', list.uid, list.end);
  }
  if ((first === 'tag' || first === 'tagged') && tokens.length > 1) {
    const skip = ['as', 'with', 'her', 'him', 'them', 'it', 'by'].includes(tokens[1]?.low ?? '') ? 2 : 1;
    const tag = tokens[skip]?.raw;
    return tag === undefined ? undefined : one('tag', tag.replace(/^#/, ''), skip + 1);
  }
  return undefined;
}

/** Values that a phrase leads to: what somebody is, where they work and live, when they were born, how often to talk. */
const PHRASES: readonly (readonly [words: string, field: string])[] = [
  ['works at', 'organisation'],
  ['works for', 'organisation'],
  ['is at', 'organisation'],
  ['from', 'organisation'],
  ['at', 'organisation'],
  ['lives in', 'town'],
  ['moved to', 'town'],
  ['is in', 'town'],
  ['in', 'town'],
  ['is called', 'nickname'],
  ['called', 'nickname'],
  ['known as', 'nickname'],
  ['works as a', 'title'],
  ['works as', 'title'],
  ['is a', 'title'],
  ['is an', 'title'],
  ['is the', 'title'],
  ['was born on', 'birthday'],
  ['was born', 'birthday'],
  ['born on', 'birthday'],
  ['born', 'birthday'],
  ['note that', 'note'],
  ['remember that', 'note'],
];

function readPhrase(tokens: readonly LineToken[], book: LineBook): ReadValues | undefined {
  const [first] = tokens;
  const rhythm = RHYTHMS[first?.low ?? ''];
  if (rhythm !== undefined) return one('rhythm', rhythm, 1);
  if (first?.low === 'every') {
    const span = readSpan(tokens.slice(1).map(({ low }) => low));
    return span && one('rhythm', `${span.what.every} ${span.what.unit}`, span.taken + 1);
  }
  for (const [words, field] of PHRASES) {
    const phrase = words.split(' ');
    if (!beginsWith(tokens, phrase) || tokens.length === phrase.length) continue;
    const rest = tokens.slice(phrase.length);
    if (field === 'note') return { values: [{ field, value: rawOf(rest) }], taken: tokens.length };
    if (field === 'birthday') {
      const day = readBirthday(rest);
      if (day) return one(field, day.value, phrase.length + day.taken);
      continue;
    }
    const count = untilNext(rest, book);
    const value = rawOf(rest.slice(0, count)).replace(/,$/, '');
    if (/\d/.test(value) && field !== 'organisation') continue;
    return one(field, value, phrase.length + count);
  }
  return undefined;
}

/** A part between commas of a new card: a role that somebody has, a place, or an organisation. */
function readLoose(tokens: readonly LineToken[], book: LineBook): ReadValues | undefined {
  const count = untilNext(tokens, book);
  const words = tokens.slice(0, count).map(({ raw }) => raw);
  const value = words.join(' ');
  if (!/^\p{L}/u.test(value) || count > 5) return undefined;
  const last = (words.at(-1) ?? '').toLowerCase();
  if (book.hasPlace(words)) return one('town', value, count);
  if (book.hasOrganisation(words)) return one('organisation', value, count);
  if (book.hasRole(last) || /^\p{Ll}/u.test(value)) return one('title', value, count);
  return one('organisation', value, count);
}

/** How many words a text has until a comma or the next value. */
function untilNext(tokens: readonly LineToken[], book: LineBook): number {
  let count = 1;
  while (count < tokens.length && !/[,;]/.test(tokens[count - 1]?.sign ?? '')) {
    const rest = tokens.slice(count);
    const low = rest[0]?.low ?? '';
    if (readBare(rest) ?? readListOrTag(rest, book)) break;
    if (['born', 'with', 'and', 'note', 'tagged'].includes(low) && rest.length > 1 && low !== 'and') break;
    if (low === 'and' && readValue(rest.slice(1), book, false)) break;
    count += 1;
  }
  return count;
}

/** "3 may 1968", as ISO 8601 has it; "--05-03" without its year. */
function readBirthday(tokens: readonly LineToken[]): { value: string; taken: number } | undefined {
  const comma = tokens.findIndex(({ sign }) => sign !== '');
  const most = comma < 0 ? tokens.length : comma + 1;
  for (let count = Math.min(4, most); count > 0; count -= 1) {
    const date = parseTypedDate(
      tokens
        .slice(0, count)
        .map(({ raw }) => raw)
        .join(' '),
      'day-first',
      'en',
    );
    if (!date) continue;
    const value = formatIsoPartial(date);
    if (value !== undefined) return { value, taken: count };
  }
  return undefined;
}
