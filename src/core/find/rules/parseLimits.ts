import { foldedWords } from '@/core/base';

import { KM_PER_MILE } from '../places/distance';
import { DAY_KINDS, type DayKind, type DocKind, type Field, type TalkWay } from './fields';
import { findListByBeginning, type Known } from './findListByBeginning';
import { DAY_WORDS, FIELD_WORDS, TALK_WORDS } from './formatRule';
import { readFurther } from './furtherTests';
import type { Rule, Test } from './rule';

/** What a search is understood as: words to be found anywhere, and tests that must be true. */
export interface Understood {
  readonly words: string;
  readonly tests: readonly Test[];
}

/** Kilometres that "near" means. Our choice. */
export const NEAR_KM = 50;

/** Words that say what kind of card is wanted. */
const CARD_WORDS: Readonly<Record<string, DocKind>> = {
  people: 'person',
  persons: 'person',
  organisations: 'organisation',
  firms: 'organisation',
  lists: 'list',
};

/** Further words for the fields; those of formatRule are understood as well. */
const MORE_FIELD_WORDS: Readonly<Record<string, Field>> = {
  phone: 'number',
  phones: 'number',
  numbers: 'number',
  email: 'mail',
  mails: 'mail',
  address: 'street',
  town: 'place',
  city: 'place',
  country: 'place',
  firm: 'organisation',
  organization: 'organisation',
  job: 'title',
  tags: 'tag',
  notes: 'note',
  website: 'web',
  web: 'web',
};

const FIELD_NAMES = new Map<string, Field>([
  ...Object.entries(FIELD_WORDS).flatMap(([field, word]): [string, Field][] =>
    field === 'any' ? [] : [[word.split(' ')[0] ?? word, field as Field]],
  ),
  ...Object.entries(MORE_FIELD_WORDS),
]);

const DAY_NAMES = new Map<string, DayKind>(
  DAY_KINDS.map((kind) => [foldedWords(DAY_WORDS[kind])[0] ?? kind, kind]),
);

/** A limit that has been read, and how many words it took. */
interface Read {
  readonly test: Test;
  readonly taken: number;
}

/**
 * Reads what limits a search: "in Sète", "at Harbour Hall", "on Patrons", "tagged press" or "#press", "without mail",
 * "with birthday", "near Bergen", "within 30 km of Bergen", "added within 30 days", "people", "archived", "pinned",
 * "note: oboe", and any of them behind "not". A value goes on to the
 * next limit or comma. What is none of these stays as words.
 */
export function parseLimits(text: string, known: Known): Understood {
  const words: string[] = [];
  const tests: Test[] = [];
  for (const part of text.split(/[,;]/)) {
    const tokens = part.split(/\s+/).filter(Boolean);
    for (let at = 0; at < tokens.length;) {
      const read = readLimit(tokens.slice(at), known);
      if (read) tests.push(read.test);
      else words.push(tokens[at] ?? '');
      at += read?.taken ?? 1;
    }
  }
  return { words: words.join(' '), tests };
}

function readLimit(tokens: readonly string[], known: Known): Read | undefined {
  const [first = '', ...rest] = tokens;
  if (first.toLowerCase() !== 'not' || rest.length === 0) return readPlain(tokens, known);
  const read = readPlain(rest, known);
  return read && { test: { ...read.test, not: read.test.not !== true }, taken: read.taken + 1 };
}

function readPlain(tokens: readonly string[], known: Known): Read | undefined {
  const [first = '', second] = tokens;
  const word = first.toLowerCase();
  const kind = Object.hasOwn(CARD_WORDS, word) ? CARD_WORDS[word] : undefined;
  if (kind) return { test: { kind: 'card', card: kind }, taken: 1 };
  if (word === 'archived' || word === 'pinned' || word === 'private')
    return { test: { kind: 'flag', flag: word }, taken: 1 };
  if (/^#\S/.test(word)) return { test: { kind: 'words', field: 'tag', value: first.slice(1) }, taken: 1 };
  const field = word.endsWith(':') ? FIELD_NAMES.get(word.slice(0, -1)) : undefined;
  if (field !== undefined) return readValue(field, tokens, known);
  const soon = readTalk(tokens) ?? readDays(tokens) ?? readFurther(tokens);
  if (soon) return soon;
  if (second === undefined) return undefined;
  switch (word) {
    case 'in':
      return readValue('place', tokens, known);
    case 'at':
      return readValue('organisation', tokens, known);
    case 'near':
      return readNear(tokens, 1, NEAR_KM, known);
    case 'within':
      return readWithin(tokens, known);
    case 'tag':
    case 'tagged':
      return readValue('tag', tokens, known);
    case 'on':
    case 'list':
      return readList(tokens, known);
    case 'with':
    case 'without':
    case 'no':
      return readFilled(second, word !== 'with');
    default:
      return undefined;
  }
}

/** The words up to the next limit are the value. */
function readValue(field: Field, tokens: readonly string[], known: Known): Read | undefined {
  let taken = 1;
  while (taken < tokens.length && (taken === 1 || !readLimit(tokens.slice(taken), known))) taken += 1;
  const value = tokens.slice(1, taken).join(' ');
  return foldedWords(value).length === 0 ? undefined : { test: { kind: 'words', field, value }, taken };
}

/** "talked to within 90 days", "met this year", "not written to in the last 6 months", "close from 80". */
function readTalk(tokens: readonly string[]): Read | undefined {
  const text = tokens.slice(0, 11).join(' ');
  const close = /^close from (\d{1,3})(?= |$)/i.exec(text);
  const from = Number(close?.[1] ?? 0);
  if (close && from >= 1 && from <= 100) return { test: { kind: 'close', from }, taken: 3 };
  const match =
    /^(talked(?: to)?|met|called|written(?: to)?) (?:(this year|ever)|(?:within|in the last) (?:(\d+) )?(days?|weeks?|months?|years?))(?: until (\d+) days ago)?(?= |$)/i.exec(
      text,
    );
  const [whole = '', word = '', span, figure, unit = '', ended] = match ?? [];
  const how = TALK_NAMES.get(word.toLowerCase().replace(/ to$/, ''));
  if (!how) return undefined;
  const taken = whole.split(' ').length;
  const until = ended === undefined ? {} : { until: Number(ended) };
  if (span !== undefined) {
    const days = /ever/i.test(span) ? ('ever' as const) : ('year' as const);
    return { test: { kind: 'talk', how, days, ...until }, taken };
  }
  return { test: { kind: 'talk', how, days: Number(figure ?? 1) * daysOf(unit), ...until }, taken };
}

const TALK_NAMES = new Map(
  (Object.entries(TALK_WORDS) as [TalkWay, string][]).map(([way, words]) => [words.replace(/ to$/, ''), way]),
);

function daysOf(unit: string): number {
  return /^w/i.test(unit) ? 7 : /^m/i.test(unit) ? 30 : /^y/i.test(unit) ? 365 : 1;
}

/** "added within 30 days", "changed in the last week", "added within 55 days until 25 days ago", "birthday within 14 days". */
function readDays(tokens: readonly string[]): Read | undefined {
  const text = tokens.slice(0, 11).join(' ');
  const match =
    /^(\S+) (?:within|in the last|in) (?:(\d+) to )?(?:(\d+) )?(days?|weeks?|months?)(?: until (\d+) days ago)?(?= |$)/i.exec(
      text,
    );
  const [whole = '', what = '', first, figure, unit = '', ended] = match ?? [];
  if (whole === '') return undefined;
  const days = Number(figure ?? 1) * daysOf(unit);
  const taken = whole.split(' ').length;
  const word = what.toLowerCase();
  if (word === 'added' || word === 'changed') {
    const until = ended === undefined ? {} : { until: Number(ended) };
    return { test: { kind: 'since', what: word, days, ...until }, taken };
  }
  if (ended !== undefined) return undefined;
  const day = DAY_NAMES.get(foldedWords(word)[0] ?? '');
  const from = first === undefined ? {} : { from: Number(first) };
  return day && days <= 366 ? { test: { kind: 'coming', day, days, ...from }, taken } : undefined;
}

/** "within 30 km of Bergen", in kilometres or miles. */
function readWithin(tokens: readonly string[], known: Known): Read | undefined {
  const match = /^(\d+(?:[.,]\d+)?) ?(km|kilometres?|mi|miles?) of$/i.exec(tokens.slice(1, 4).join(' '));
  const joined = /^(\d+(?:[.,]\d+)?)(km|mi) of$/i.exec(tokens.slice(1, 3).join(' '));
  const [, figure = '', unit = ''] = match ?? joined ?? [];
  const km = Number(figure.replace(',', '.')) * (/^mi/i.test(unit) ? KM_PER_MILE : 1);
  if (!(km > 0)) return undefined;
  return readNear(tokens, match ? 4 : 3, Math.round(km * 10) / 10, known);
}

/** The words behind are the place. */
function readNear(tokens: readonly string[], from: number, km: number, known: Known): Read | undefined {
  const read = readValue('place', tokens.slice(from - 1), known);
  if (read?.test.kind !== 'words') return undefined;
  return { test: { kind: 'near', place: read.test.value, km }, taken: read.taken + from - 1 };
}

function readList(tokens: readonly string[], known: Known): Read | undefined {
  const found = findListByBeginning(tokens.slice(1), known);
  return found && { test: { kind: 'list', list: found.list.uid }, taken: found.taken + 1 };
}

function readFilled(token: string, isNot: boolean): Read | undefined {
  const word = foldedWords(token)[0] ?? '';
  const field = DAY_NAMES.get(word) ?? FIELD_NAMES.get(word);
  return field && { test: { kind: 'filled', field, ...(isNot ? { not: true } : {}) }, taken: 2 };
}

/** The words and limits of a search as one rule; undefined where there are none. */
export function toRule({ words, tests }: Understood): Rule | undefined {
  const rules: Rule[] = [
    ...(foldedWords(words).length === 0 ? [] : [{ kind: 'words', field: 'any', value: words } as const]),
    ...tests,
  ];
  return rules.length === 0 ? undefined : { kind: 'all', rules };
}
