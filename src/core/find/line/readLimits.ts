import { daysBetween, foldedWords } from '@/core/base';

import type { DocKind, Field, TalkWay } from '../rules/fields';
import type { Test } from '../rules/rule';
import { KM_PER_MILE } from '../places/distance';
import { NEAR_KM } from '../rules/parseLimits';
import type { LineBook } from './lineBook';
import { daysOfSpan, MONTHS, readDay, readSpan, weekdayOf } from './lineDays';
import { beginsWith, type LineToken } from './lineTokens';
import { FIELD_NOUNS, ROLES } from './lineWords.data';
import type { LineOrder } from './reading';

/** A limit at the beginning of some words. */
export interface ReadLimit {
  readonly test?: Test;
  readonly order?: LineOrder;
  readonly taken: number;
  /** Whether it is a word alone, which by itself is rather one to be found anywhere. */
  readonly isBare?: boolean;
}

/** Days that "upcoming" means. Our choice. */
const SOON_DAYS = 30;
/** Closeness of close friends. Our choice. */
const CLOSE_FROM = 60;

const KINDS: Readonly<Record<string, DocKind>> = {
  ...{
    people: 'person',
    persons: 'person',
    person: 'person',
    organisations: 'organisation',
    organizations: 'organisation',
    firms: 'organisation',
    companies: 'organisation',
  },
};

type Reader = (tokens: readonly LineToken[], book: LineBook, today: string) => ReadLimit | undefined;

/** A limit, in whatever way it is said. */
export function readLimitWords(
  tokens: readonly LineToken[],
  book: LineBook,
  today: string,
): ReadLimit | undefined {
  for (const read of READERS) {
    const found = read(tokens, book, today);
    if (found) return found;
  }
  for (const read of BARE) {
    const found = read(tokens, book, today);
    if (found) return read === readRole ? found : { ...found, isBare: true };
  }
  return undefined;
}

const one = (test: Test, taken: number): ReadLimit => ({ test, taken });
const lows = (tokens: readonly LineToken[]) => tokens.map(({ low }) => low);

/** The first of some phrases that the words begin with, and how many words it has. */
function phraseAt(tokens: readonly LineToken[], phrases: readonly string[]): number | undefined {
  const found = phrases
    .toSorted((a, b) => b.length - a.length)
    .find((phrase) => beginsWith(tokens, phrase.split(' ')));
  return found?.split(' ').length;
}

const readOrder: Reader = (tokens) => {
  const closest = phraseAt(tokens, ['closest first', 'closest', 'by closeness', 'sorted by closeness']);
  if (closest !== undefined) return { order: 'closeness', taken: closest };
  const last = phraseAt(tokens, [
    'by last talk',
    'last talk first',
    'latest talk first',
    'sorted by last talk',
  ]);
  return last === undefined ? undefined : { order: 'lastTalk', taken: last };
};

const readKind: Reader = (tokens) => {
  const kind = KINDS[tokens[0]?.low ?? ''];
  return kind && one({ kind: 'card', card: kind }, 1);
};

const readFlag: Reader = (tokens) => {
  const flag = tokens[0]?.low;
  if (flag !== 'pinned' && flag !== 'archived' && flag !== 'private') return undefined;
  return one({ kind: 'flag', flag }, tokens[1]?.low === 'cards' ? 2 : 1);
};

const readList: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'is on the list',
    'are on the list',
    'on the list',
    'on list',
    'is on',
    'are on',
    'on the',
    'on',
  ]);
  if (lead === undefined) return undefined;
  return listAt(tokens, lead, book);
};

/** A list by as many words as name one. */
function listAt(tokens: readonly LineToken[], from: number, book: LineBook): ReadLimit | undefined {
  for (let count = Math.min(5, tokens.length - from); count > 0; count -= 1) {
    const list = book.list(tokens.slice(from, from + count).map(({ raw }) => raw));
    if (list) {
      const isNamed = tokens[from + count]?.low === 'list' ? 1 : 0;
      return one({ kind: 'list', list: list.uid }, from + count + isNamed);
    }
  }
  return undefined;
}

/** A list or a tag by its whole name alone, beside other limits: "patrons in london". */
const readBareGroup: Reader = (tokens, book) => {
  const [first] = tokens;
  if (!first) return undefined;
  for (let count = Math.min(4, tokens.length); count > 0; count -= 1) {
    const words = tokens.slice(0, count).map(({ raw }) => raw);
    const list = book.list(words);
    if (list && foldedWords(book.shown(list.uid)).join(' ') === foldedWords(words.join(' ')).join(' '))
      return one({ kind: 'list', list: list.uid }, count);
  }
  return book.hasTag(first.raw) ? one({ kind: 'words', field: 'tag', value: first.raw }, 1) : undefined;
};

const readTag: Reader = (tokens) => {
  const [first] = tokens;
  if (first && /^#\S/.test(first.raw))
    return one({ kind: 'words', field: 'tag', value: first.raw.slice(1) }, 1);
  const lead = phraseAt(tokens, ['with the tag', 'with tag', 'is tagged', 'tagged', 'tag']);
  const value = lead === undefined ? undefined : tokens[lead]?.raw;
  return value === undefined || lead === undefined
    ? undefined
    : one({ kind: 'words', field: 'tag', value }, lead + 1);
};

const readPlace: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'who lives in',
    'living in',
    'lives in',
    'live in',
    'based in',
    'is in',
    'in',
  ]);
  if (lead === undefined || tokens.length <= lead) return undefined;
  if (/^\d/.test(tokens[lead]?.raw ?? '') || MONTHS.includes(tokens[lead]?.low ?? '')) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'words', field: 'place', value: valueOf(tokens, lead, count) }, lead + count);
};

const readNear: Reader = (tokens, book) => {
  let lead = phraseAt(tokens, ['near to', 'near', 'close to', 'around']);
  let km = NEAR_KM;
  if (lead === undefined) {
    const match =
      /^(?:within|less than) (\d+(?:[.,]\d+)?) ?(km|kilometres?|miles?|mi) (?:of|from|around)(?= |$)/.exec(
        lows(tokens).slice(0, 5).join(' '),
      );
    if (!match) return undefined;
    km =
      Math.round(
        Number((match[1] ?? '').replace(',', '.')) * (/^mi/.test(match[2] ?? '') ? KM_PER_MILE : 1) * 10,
      ) / 10;
    lead = match[0].split(' ').length;
  }
  if (tokens.length <= lead || !(km > 0)) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'near', place: valueOf(tokens, lead, count), km }, lead + count);
};

const readOrganisation: Reader = (tokens, book) => {
  const lead = phraseAt(tokens, [
    'who works at',
    'who works for',
    'working at',
    'works at',
    'works for',
    'work at',
    'from',
    'at',
  ]);
  if (lead === undefined || tokens.length <= lead) return undefined;
  const count = textUntilLimit(tokens, lead, book);
  return one({ kind: 'words', field: 'organisation', value: valueOf(tokens, lead, count) }, lead + count);
};

/** A place by its name alone, beside other limits: "oboe bologna". */
const readBarePlace: Reader = (tokens, book) => {
  for (let count = Math.min(3, tokens.length); count > 0; count -= 1) {
    const words = tokens.slice(0, count).map(({ raw }) => raw);
    if (book.hasPlace(words) && words.join('').length > 3)
      return one({ kind: 'words', field: 'place', value: words.join(' ') }, count);
  }
  return undefined;
};

/** What people do: "violinists", "who plays the cello", "the tuner". */
const readRole: Reader = (tokens, book) => {
  const plays = phraseAt(tokens, [
    'who plays the',
    'who plays',
    'plays the',
    'plays',
    'playing the',
    'playing',
    'who is a',
    'who are',
    'the',
  ]);
  const from = plays ?? 0;
  const word = tokens[from]?.low ?? '';
  const role = roleOf(word, book);
  return role === undefined ? undefined : one({ kind: 'words', field: 'title', value: role }, from + 1);
};

function roleOf(word: string, book: LineBook): string | undefined {
  for (const form of [word, word.replace(/s$/, ''), word.replace(/ies$/, 'y')]) {
    const played = ROLES[form];
    if (played !== undefined) return book.hasRole(foldedWords(played)[0] ?? '') ? played : undefined;
    const folded = foldedWords(form)[0] ?? '';
    if (folded.length > 3 && book.hasRole(folded)) return form;
  }
  return undefined;
}

const DAY_FIELDS: Readonly<Record<string, 'birth' | 'wedding'>> = {
  birthday: 'birth',
  birthdays: 'birth',
  wedding: 'wedding',
};

const readFilled: Reader = (tokens) => {
  const not = phraseAt(tokens, [
    'without a',
    'without an',
    'without',
    'has no',
    'have no',
    'with no',
    'no',
    'lacking',
  ]);
  const has = phraseAt(tokens, [
    'who has a',
    'who has',
    'has a',
    'has an',
    'have a',
    'has',
    'with a',
    'with an',
    'with',
  ]);
  const lead = not ?? has;
  if (lead === undefined) return undefined;
  const word = tokens[lead]?.low ?? '';
  const day = DAY_FIELDS[word];
  const known: Readonly<Record<string, Field>> = {
    ...{
      number: 'number',
      mail: 'mail',
      address: 'street',
      town: 'place',
      web: 'web',
      organisation: 'organisation',
      title: 'title',
      note: 'note',
      tag: 'tag',
      tags: 'tag',
      nickname: 'nickname',
      'number:mobile': 'number',
    },
  };
  const noun = FIELD_NOUNS[word];
  const field = day ?? (noun === undefined ? undefined : known[noun]);
  if (field === undefined) return undefined;
  return one({ kind: 'filled', field, ...(not === undefined ? {} : { not: true as const }) }, lead + 1);
};

/** "birthday in december", "birthdays next week", "whose birthday is today". */
const readBirthdays: Reader = (tokens, _, today) => {
  const words = lows(tokens);
  const month = MONTHS.indexOf(words[0] ?? '');
  if (month >= 0 && /^birthdays?$/.test(words[1] ?? ''))
    return one({ kind: 'month', day: 'birth', month: month + 1 }, 2);
  const soon = phraseAt(tokens, [
    'upcoming birthdays',
    'coming birthdays',
    'next birthdays',
    'birthdays soon',
    'birthday soon',
  ]);
  if (soon !== undefined) return one({ kind: 'coming', day: 'birth', days: SOON_DAYS, from: 0 }, soon);
  const lead = phraseAt(tokens, [
    'whose birthday is',
    'who has birthday',
    'birthdays',
    'birthday',
    'has birthday',
  ]);
  if (lead === undefined) return undefined;
  const rest = words.slice(lead);
  const inMonth = rest[0] === 'in' ? MONTHS.indexOf(rest[1] ?? '') : -1;
  if (inMonth >= 0) return one({ kind: 'month', day: 'birth', month: inMonth + 1 }, lead + 2);
  const span = comingSpan(rest, today);
  if (!span) return undefined;
  const { taken, month: thisMonth, from, days } = span;
  if (thisMonth !== undefined) return one({ kind: 'month', day: 'birth', month: thisMonth }, lead + taken);
  return one({ kind: 'coming', day: 'birth', days, from }, lead + taken);
};

interface Coming {
  readonly from: number;
  readonly days: number;
  readonly month?: number;
  readonly taken: number;
}

/** "today", "this week", "next week", "within 14 days", "this month", in days from today; a week ends on Sunday. */
function comingSpan(words: readonly string[], today: string): Coming | undefined {
  const [first = '', second = ''] = words;
  const untilSunday = (7 - weekdayOf(today)) % 7;
  if (first === 'today') return { from: 0, days: 0, taken: 1 };
  if (first === 'tomorrow') return { from: 1, days: 1, taken: 1 };
  if (first === 'this' && second === 'week') return { from: 0, days: untilSunday, taken: 2 };
  if (first === 'next' && second === 'week')
    return { from: untilSunday + 1, days: untilSunday + 7, taken: 2 };
  const month = Number(today.slice(5, 7));
  if (first === 'this' && second === 'month') return { from: 0, days: 31, month, taken: 2 };
  if (first === 'next' && second === 'month') return { from: 0, days: 62, month: (month % 12) + 1, taken: 2 };
  const lead = ['within', 'in'].includes(first)
    ? ['next'].includes(words[2] ?? '') && second === 'the'
      ? 3
      : 1
    : first === 'next'
      ? 1
      : 0;
  const span = lead === 0 ? undefined : readSpan(words.slice(lead));
  return span && { from: 0, days: Math.min(366, daysOfSpan(span.what)), taken: lead + span.taken };
}

/** Ages and years of birth. */
const readAges: Reader = (tokens) => {
  const words = lows(tokens);
  const text = words.slice(0, 6).join(' ');
  const turning = /^(?:who turns|who is turning|turning|turns)( \d{1,3})( this year)?(?= |$)/.exec(text);
  if (turning) return one({ kind: 'turning', age: Number(turning[1]) }, turning[0].split(' ').length);
  const forms: readonly (readonly [RegExp, (a: number, b: number) => Test])[] = [
    [/^(?:aged )?between (\d{1,3}) and (\d{1,3})(?= |$)/, (a, b) => ({ kind: 'age', from: a, to: b })],
    [/^(?:older than)() (\d{1,3})(?= |$)/, (_, b) => ({ kind: 'age', from: b + 1 })],
    [/^(?:over|aged over)() (\d{1,3})(?= |$)/, (_, b) => ({ kind: 'age', from: b })],
    [/^(?:under|younger than)() (\d{1,3})(?= |$)/, (_, b) => ({ kind: 'age', to: b - 1 })],
    [/^born before() (\d{4})(?= |$)/, (_, b) => ({ kind: 'born', to: b - 1 })],
    [/^born after() (\d{4})(?= |$)/, (_, b) => ({ kind: 'born', from: b + 1 })],
    [/^born (?:since|from)() (\d{4})(?= |$)/, (_, b) => ({ kind: 'born', from: b })],
    [/^born between (\d{4}) and (\d{4})(?= |$)/, (a, b) => ({ kind: 'born', from: a, to: b })],
    [/^born in() (\d{4})(?= |$)/, (_, b) => ({ kind: 'born', from: b, to: b })],
  ];
  for (const [form, make] of forms) {
    const match = form.exec(text);
    if (match) return one(make(Number(match[1]), Number(match[2])), match[0].split(' ').length);
  }
  const decade = /^born in the (\S+)(?= |$)/.exec(text);
  const at = [
    'twenties',
    'thirties',
    'forties',
    'fifties',
    'sixties',
    'seventies',
    'eighties',
    'nineties',
  ].indexOf(decade?.[1] ?? '');
  const figures = /^born in the (?:19)?(\d)0s(?= |$)/.exec(text);
  const tens = at >= 0 ? at + 2 : figures ? Number(figures[1]) : undefined;
  if (tens !== undefined) return one({ kind: 'born', from: 1900 + tens * 10, to: 1909 + tens * 10 }, 4);
  const month = words[0] === 'born' && words[1] === 'in' ? MONTHS.indexOf(words[2] ?? '') : -1;
  return month >= 0 ? one({ kind: 'month', day: 'birth', month: month + 1 }, 3) : undefined;
};

const WAYS: readonly (readonly [phrases: readonly string[], how: TalkWay])[] = [
  [
    [
      'talked to',
      'talked with',
      'talked',
      'spoken to',
      'spoken with',
      'spoke to',
      'been in touch with',
      'heard from',
    ],
    'any',
  ],
  [['met', 'met with', 'seen'], 'met'],
  [['called', 'phoned', 'rung'], 'called'],
  [['written to', 'written', 'mailed', 'wrote to'], 'written'],
];

/** "never met", "not talked to for a year", "met last week", "who have i not talked to since june". */
const readTalks: Reader = (tokens, _, today) => {
  const asked =
    phraseAt(tokens, [
      'who have i',
      'who i have',
      'whom have i',
      'whom i have',
      'people i have',
      'who did i',
      'i have',
    ]) ?? 0;
  let at = asked;
  let not = false;
  let isNever = false;
  if (tokens[at]?.low === 'never') {
    isNever = true;
    at += 1;
  } else if (['not', "haven't", 'no'].includes(tokens[at]?.low ?? '')) {
    not = true;
    at += 1;
  }
  const rest = tokens.slice(at);
  const way = WAYS.flatMap(([phrases, how]) => {
    const taken = phraseAt(rest, phrases);
    return taken === undefined ? [] : [{ how, taken }];
  })[0];
  if (!way) return undefined;
  at += way.taken;
  if (isNever) return one({ kind: 'talk', how: way.how, days: 'ever', not: true }, at);
  const when = pastSpan(lows(tokens.slice(at)), today);
  const turn = not ? { not: true as const } : {};
  if (when) {
    const { taken, ...span } = when;
    return one({ kind: 'talk', how: way.how, ...span, ...turn }, at + taken);
  }
  // A name may follow "met", but nothing does where it is a limit.
  const next = tokens[at]?.low;
  if (next !== undefined && !['and', 'but', 'or', 'not', 'in', 'on'].includes(next) && asked === 0)
    return undefined;
  return one({ kind: 'talk', how: way.how, days: 'ever', ...turn }, at);
};

/** "for a year", "since june", "this month", "last week", "within 90 days". */
function pastSpan(
  words: readonly string[],
  today: string,
): { days: number | 'year'; until?: number; taken: number } | undefined {
  const [first = '', second = ''] = words;
  if (first === 'this' && second === 'year') return { days: 'year', taken: 2 };
  if (first === 'today') return { days: 0, taken: 1 };
  if (first === 'this' && second === 'month') return { days: Number(today.slice(8)) - 1, taken: 2 };
  const sinceMonday = (weekdayOf(today) + 6) % 7;
  if (first === 'this' && second === 'week') return { days: sinceMonday, taken: 2 };
  if (first === 'last' && second === 'week')
    return { days: sinceMonday + 7, until: sinceMonday + 1, taken: 2 };
  if (first === 'since') {
    const month = MONTHS.indexOf(second);
    if (month >= 0) {
      const year = Number(today.slice(0, 4)) - (month + 1 > Number(today.slice(5, 7)) ? 1 : 0);
      return { days: daysBetween(`${year}-${String(month + 1).padStart(2, '0')}-01`, today), taken: 2 };
    }
    const day = readDay(words.slice(1), today, true);
    if (day) return { days: daysBetween(day.what, today), taken: day.taken + 1 };
    const year = /^\d{4}$/.test(second) ? Number(second) : undefined;
    return year === undefined ? undefined : { days: daysBetween(`${year}-01-01`, today), taken: 2 };
  }
  const lead = phraseOf(words, [
    'in the last',
    'in the past',
    'for the last',
    'within the last',
    'within',
    'for',
    'in',
  ]);
  const span = lead === undefined ? undefined : readSpan(words.slice(lead));
  return span && lead !== undefined ? { days: daysOfSpan(span.what), taken: lead + span.taken } : undefined;
}

function phraseOf(words: readonly string[], phrases: readonly string[]): number | undefined {
  const found = phrases.find((phrase) => phrase.split(' ').every((word, i) => words[i] === word));
  return found?.split(' ').length;
}

const readClose: Reader = (tokens) => {
  const lead = phraseAt(tokens, [
    'close friends',
    'good friends',
    'close people',
    'closest friends',
    'friends',
  ]);
  return lead === undefined ? undefined : one({ kind: 'close', from: CLOSE_FROM }, lead);
};

const readDue: Reader = (tokens, _, today) => {
  const late = phraseAt(tokens, ['who is late', 'late', 'overdue']);
  if (late !== undefined) return one({ kind: 'due', days: -1 }, late);
  const lead = phraseAt(tokens, ['who is due', 'due']);
  if (lead === undefined) return undefined;
  const span = comingSpan(lows(tokens.slice(lead)), today);
  if (span) return one({ kind: 'due', days: span.days }, lead + span.taken);
  return tokens.length === lead || ['and', 'but', 'in', 'on'].includes(tokens[lead]?.low ?? '')
    ? one({ kind: 'due', days: 0 }, lead)
    : undefined;
};

const readSince: Reader = (tokens, _, today) => {
  const word = tokens[0]?.low ?? '';
  if (!['added', 'changed', 'new', 'updated'].includes(word)) return undefined;
  const span = pastSpan(lows(tokens.slice(1)), today);
  if (!span || span.until !== undefined) return undefined;
  const days = span.days === 'year' ? daysBetween(`${today.slice(0, 4)}-01-01`, today) : span.days;
  return one(
    { kind: 'since', what: word === 'changed' || word === 'updated' ? 'changed' : 'added', days },
    1 + span.taken,
  );
};

/** How many words a text has until the next limit or a comma. */
function textUntilLimit(tokens: readonly LineToken[], from: number, book: LineBook): number {
  let count = 1;
  while (from + count < tokens.length && !/[,;]/.test(tokens[from + count - 1]?.sign ?? '')) {
    const rest = tokens.slice(from + count);
    const low = rest[0]?.low ?? '';
    if (['and', 'or', 'but', 'not'].includes(low)) break;
    if (
      [readList, readTag, readFilled, readOrder, readFlag, readTalks, readAges].some((read) =>
        read(rest, book, '2000-01-01'),
      )
    )
      break;
    if (['in', 'at', 'near', 'within'].includes(low) && rest.length > 1) break;
    count += 1;
  }
  return count;
}

function valueOf(tokens: readonly LineToken[], from: number, count: number): string {
  return tokens
    .slice(from, from + count)
    .map(({ raw }) => raw)
    .filter((word, i) => !(i === 0 && /^the$/i.test(word) && count > 1))
    .join(' ');
}

/** In the order in which they are tried. */
const READERS: readonly Reader[] = [
  ...[
    readOrder,
    readBirthdays,
    readAges,
    readTalks,
    readDue,
    readSince,
    readClose,
    readFlag,
    readTag,
    readList,
  ],
  ...[readFilled, readNear, readPlace, readOrganisation, readKind],
];

/** Limits that are a word alone, which may as well be one to be found. */
const BARE: readonly Reader[] = [readBareGroup, readRole, readBarePlace];
