import type { Uid } from '@/core/card';

import type { ValueKind } from './bookValues';
import type { LineBook } from './lineBook';
import { MONTHS, WEEKDAYS } from './lineDays';
import { tokensOf } from './lineTokens';
import { ACTS, FIELD_NOUNS, MEET, PLACES, RHYTHMS, TALKED } from './lineWords.data';
import type { LineContext } from './readActs';
import { LEAST_SCORE } from './reading';
import { understandLine } from './understandLine';

/** How a line can go on. */
export interface Completion {
  /** What is put behind the line as it stands. */
  readonly rest: string;
}

/** Candidates that are tried as lines; each costs a reading. */
const MOST_TRIED = 6;
/** Longer lines know where they go. */
const MOST_WORDS = 12;

/** What can follow a word, by what it leads to. */
const FOLLOWS: Readonly<Record<string, readonly (ValueKind | 'list' | 'day' | 'who' | 'month')[]>> = {
  ...{ in: ['place', 'month'], near: ['place'], at: ['organisation'], from: ['organisation'] },
  ...{ on: ['list', 'day'], tag: ['tag', 'who'], tagged: ['tag'], until: ['day'], since: ['month'] },
  ...{ with: ['who'], to: ['who'], for: ['who'], the: ['role'] },
};

const DAYS = [...WEEKDAYS.slice(1), ...WEEKDAYS.slice(0, 1)];
const DAY_WORDS = ['today', 'tomorrow', 'next week', 'next month'];

/** Words and phrases that lines are made of, without those of the book. */
const PHRASES: readonly string[] = [
  ...ACTS.flatMap(({ first, last = [] }) => [...first, ...last]),
  ...TALKED.map(([words]) => words),
  ...MEET,
  ...Object.keys(FIELD_NOUNS),
  ...Object.keys(RHYTHMS),
  ...Object.keys(PLACES),
  ...['birthday in', 'birthdays next week', 'birthdays this week', 'turning', 'born before', 'born in'],
  ...['never met', 'not talked to for a year', 'met last week', 'written to but not met', 'late'],
  ...['due this week', 'closest first', 'by last talk', 'without mail', 'without number', 'with mail'],
  ...['remind me to call', 'note a talk with', 'everyone at', 'archived', 'pinned', 'organisations'],
  ...DAYS,
  ...DAY_WORDS,
];

/** Verbs after which somebody is named. */
const VERBS = new Set([
  ...ACTS.flatMap(({ first }) => first),
  ...TALKED.map(([words]) => words),
  ...MEET,
  ...['put', 'add', 'take', 'tag', 'remind me to call', 'note on', 'copy'],
]);

/**
 * How the last word of a line, or the next one, most likely goes on: by the words that lines are made of and by those of
 * the book, each tried as a line. Nothing where what is typed already says something whole.
 *
 * @param used - people and lists used lately, the latest first; these come before others
 */
export function completeLine(
  text: string,
  context: LineContext,
  used: readonly Uid[] = [],
): Completion | undefined {
  const tokens = tokensOf(text);
  if (tokens.length === 0 || tokens.length > MOST_WORDS) return undefined;
  // A verb that is whole waits for its space.
  if (VERBS.has(text.toLowerCase())) return undefined;
  const start = /\S*$/u.exec(text)?.[0] ?? '';
  const before = text.slice(0, text.length - start.length);
  const candidates =
    start === ''
      ? nextWords(before, context, used)
      : [...phrases(before, start), ...bookWords(before, start, context.book, used)];
  const seen = new Set<string>();
  const tried = candidates
    .filter((rest) => rest !== '' && !seen.has(rest) && seen.add(rest))
    .slice(0, MOST_TRIED)
    .map((rest, i) => ({ rest, worth: worthOf(`${text}${rest}`, context) - i * 0.001 }));
  const [best] = tried.toSorted((a, b) => b.worth - a.worth);
  return best && best.worth >= LEAST_SCORE ? { rest: best.rest } : undefined;
}

/** How much sense a line makes; a verb makes sense by itself, as somebody will be named. */
function worthOf(line: string, context: LineContext): number {
  const plain = line.trim().toLowerCase();
  if (VERBS.has(plain) || PHRASES.some((phrase) => phrase.startsWith(`${plain} `))) return 0.8;
  const [best] = understandLine(line, context);
  if (!best) return 0;
  // Of a search words that are anything explain nothing; somebody's whole name does.
  if (best.need === 'find' && best.limits === undefined)
    return context.book.named(line.trim().split(/\s+/)).some(({ isWhole }) => isWhole) ? 0.9 : 0;
  return best.score;
}

/** What the lexica have behind the words typed: what goes on with more of them comes first, then what is shorter. */
function phrases(before: string, start: string): string[] {
  const words = before.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const found: string[] = [];
  for (let count = Math.min(3, words.length); count >= 0; count -= 1) {
    const tail = [...words.slice(words.length - count), start.toLowerCase()].join(' ');
    // A letter alone begins too many words.
    if (count === 0 && start.length < 2) continue;
    const rests = PHRASES.flatMap((phrase) =>
      phrase.startsWith(tail) && phrase.length > tail.length ? [phrase.slice(tail.length)] : [],
    );
    found.push(...rests.sort((a, b) => a.length - b.length).slice(0, 2));
  }
  return found.slice(0, 3);
}

/** What the book has: people and lists in the order in which they were used, and whatever the word before leads to. */
function bookWords(before: string, start: string, book: LineBook, used: readonly Uid[]): string[] {
  const lead = before.trim().toLowerCase().split(/\s+/).at(-1) ?? '';
  const follows = FOLLOWS[lead] ?? [];
  const ofKinds = follows.flatMap((kind) => ofKind(kind, start, book)).flatMap((word) => restOf(word, start));
  const place = (uid: Uid) => (used.includes(uid) ? used.indexOf(uid) : used.length);
  const lists = book.listsLike(start).map(({ uid }) => uid);
  const called = start.length > 1 ? book.calledLike(start) : used.filter((uid) => book.isCalled(uid, start));
  const named = [...called, ...(start.length > 1 ? lists : [])]
    .toSorted((a, b) => place(a) - place(b) || book.shown(a).localeCompare(book.shown(b)))
    .flatMap((uid) => nameRest(book.shown(uid), start));
  return [...ofKinds.slice(0, 3), ...named.slice(0, 4)];
}

/** The rest of a name from the word on that begins so. */
function nameRest(shown: string, start: string): string[] {
  const words = shown.split(' ');
  const at = words.findIndex((word) => word.toLowerCase().startsWith(start.toLowerCase()));
  return at < 0 ? [] : restOf(words.slice(at).join(' '), start);
}

const restOf = (word: string, start: string) =>
  word.toLowerCase().startsWith(start.toLowerCase()) && word.length > start.length
    ? [word.slice(start.length)]
    : [];

function ofKind(kind: string, start: string, book: LineBook): readonly string[] {
  const begins = (words: readonly string[]) => words.filter((word) => word.startsWith(start.toLowerCase()));
  if (kind === 'list') return book.listsLike(start).map(({ uid }) => book.shown(uid));
  if (kind === 'day') return begins(DAYS);
  if (kind === 'month') return begins(MONTHS);
  return kind === 'who' ? [] : book.valuesLike(start, kind as ValueKind);
}

/** The word behind one that leads somewhere: who was used lately, lists, places. */
function nextWords(before: string, { book, ...context }: LineContext, used: readonly Uid[]): string[] {
  const plain = before.trim().toLowerCase();
  const lead = plain.split(/\s+/).at(-1) ?? '';
  const [best] = understandLine(before, { book, ...context });
  // What says something already needs no more.
  if (best && best.need !== 'find') return [];
  const isVerb = VERBS.has(plain);
  const begun = PHRASES.flatMap((phrase) =>
    phrase.startsWith(`${plain} `) ? [phrase.slice(plain.length + 1)] : [],
  );
  const follows = FOLLOWS[lead] ?? [];
  const people = isVerb || follows.includes('who') ? used.map((uid) => book.shown(uid)) : [];
  return [
    ...follows.flatMap((kind) => ofKind(kind, '', book).slice(0, 2)),
    ...people.slice(0, 3),
    ...begun.slice(0, 1),
  ];
}
