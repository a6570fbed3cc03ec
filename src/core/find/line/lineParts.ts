import { foldedWords } from '@/core/base';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/find/lineParts';

import { formatRule } from '../rules/formatRule';
import type { Rule } from '../rules/rule';
import type { LineBook } from './lineBook';
import { readDay, readTime } from './lineDays';
import { type LineToken, tokensOf } from './lineTokens';
import type { LineContext } from './readActs';
import type { LineValue, Reading } from './reading';
import { LANGUAGES, translate } from './translate';

/** Some words of a line with what they were understood as. */
export interface LinePart {
  /** UTF-16 units of the line, the last excluded. */
  readonly from: number;
  readonly to: number;
  readonly kind: 'verb' | 'who' | 'value' | 'limit';
  /** What they are, in words: "do", a name, "mail", "in bergen". */
  readonly says: string;
  /** Whom they name. */
  readonly uid?: Uid;
  readonly value?: LineValue;
  readonly rule?: Rule;
}

/** Words that lead to something and aren't it. */
const SMALL = new Set(
  'and or but the a an to for with on of in at from is are as by me my her his their its list card'.split(
    ' ',
  ),
);

/**
 * What the words of a line were understood as, in their order; words that say nothing, or weren't understood, are none.
 * A line in another language is looked at in the readers' words as well.
 */
export function partsOf(text: string, reading: Reading, context: LineContext): LinePart[] {
  const tokens = tokensOf(text);
  if (reading.need === 'find') return limitParts(tokens, reading, context.book);
  if (reading.need === 'go') return partAt(tokens, 0, tokens.length, { kind: 'verb', says: texts.goThere });
  const others = LANGUAGES.flatMap((language) => {
    const translated = translate(tokens, language, context);
    return translated ? [translated] : [];
  });
  const ways = [tokens, ...others].map((some) => actParts(some, reading, context)).filter(areApart);
  const [most] = ways.toSorted((a, b) => b.length - a.length);
  return most ?? [];
}

/** Whether parts don't lie over each other, as those of words that were put in another order may. */
function areApart(parts: readonly LinePart[]): boolean {
  return parts.every(({ from, to }, i) => from < to && from >= (parts[i - 1]?.to ?? 0));
}

function actParts(tokens: readonly LineToken[], reading: Reading, context: LineContext): LinePart[] {
  const taken = new Array<boolean>(tokens.length).fill(false);
  const parts: LinePart[] = [];
  const take = (first: number, end: number, more: Omit<LinePart, 'from' | 'to'>) => {
    const span = widened(tokens, { first, end }, more.kind === 'value' ? BEFORE_VALUE : BEFORE_WHO, taken);
    parts.push(...partAt(tokens, span, end, more));
    for (let at = span; at < end; at += 1) taken[at] = true;
  };
  for (const value of reading.values) {
    const at = valueAt(tokens, value, context, taken);
    if (at) take(at.first, at.end, { kind: 'value', says: saysOf(value), value });
  }
  for (const uid of reading.uids) {
    const at = whoAt(tokens, uid, context.book, taken);
    if (at) take(at.first, at.end, { kind: 'who', says: context.book.shown(uid), uid });
  }
  const verb = verbAt(tokens, taken);
  if (verb) take(verb.first, verb.end, { kind: 'verb', says: verbOf(reading) });
  return parts.toSorted((a, b) => a.from - b.from);
}

const BEFORE_VALUE = ['on', 'at', 'in', 'to', 'from', 'off', 'the', 'as', 'tag', 'tagged', 'about'];
const BEFORE_WHO = ['to', 'for', 'with', 'of', 'the'];

interface Stretch {
  readonly first: number;
  readonly end: number;
}

function partAt(
  tokens: readonly LineToken[],
  first: number,
  end: number,
  more: Omit<LinePart, 'from' | 'to'>,
): LinePart[] {
  const [start, last] = [tokens[first], tokens[end - 1]];
  return start && last ? [{ from: start.from, to: last.to, ...more }] : [];
}

function limitParts(
  tokens: readonly LineToken[],
  { limits = [], order }: Reading,
  book: LineBook,
): LinePart[] {
  return limits.flatMap(({ rule, first, end }) =>
    partAt(tokens, first, end, {
      kind: 'limit',
      says: rule
        ? formatRule(rule, (uid) => book.shown(uid))
        : order === 'closeness'
          ? texts.closestFirst
          : texts.byLastTalk,
      ...(rule ? { rule } : {}),
    }),
  );
}

/** Small words before a value or a name belong to it: "on patrons", "at the net loft", "to ada". */
function widened(
  tokens: readonly LineToken[],
  { first, end }: Stretch,
  small: readonly string[],
  taken: readonly boolean[],
): number {
  let from = first;
  while (
    from > 0 &&
    taken[from - 1] !== true &&
    end - from < 8 &&
    small.includes(tokens[from - 1]?.low ?? '') &&
    tokens[from - 1]?.sign === ''
  )
    from -= 1;
  return from;
}

/** The longest run of words by which a card is called. */
function whoAt(
  tokens: readonly LineToken[],
  uid: Uid,
  book: LineBook,
  taken: readonly boolean[],
): Stretch | undefined {
  let best: Stretch | undefined;
  for (let first = 0; first < tokens.length; first += 1) {
    let end = first;
    while (
      end < tokens.length &&
      taken[end] !== true &&
      !(end === first && SMALL.has(tokens[end]?.low ?? '')) &&
      book.isCalled(uid, tokens[end]?.raw ?? '')
    )
      end += 1;
    if (end - first > (best ? best.end - best.first : 0)) best = { first, end };
  }
  return best;
}

function valueAt(
  tokens: readonly LineToken[],
  { field, value }: LineValue,
  { book, today }: LineContext,
  taken: readonly boolean[],
): Stretch | undefined {
  if (field === 'as') return fileWordsAt(tokens, taken);
  if (/^-?list$|^to$/.test(field)) return whoAt(tokens, value, book, taken);
  const lows = tokens.map(({ low }) => low);
  const isFree = (first: number, end: number) => !taken.slice(first, end).includes(true);
  const wanted = letters(value);
  for (let first = 0; first < tokens.length; first += 1) {
    const rest = lows.slice(first);
    const day = /^(?:day|next)$/.test(field)
      ? [readDay(rest, today), readDay(rest, today, true)].find((read) => read?.what === value)
      : field === 'time'
        ? readTime(rest)
        : undefined;
    if (day && isFree(first, first + day.taken)) return { first, end: first + day.taken };
    if (wanted === '' || (field === 'day' && day)) continue;
    let said = '';
    for (let end = first + 1; end <= tokens.length && said.length < wanted.length; end += 1) {
      said += letters(tokens[end - 1]?.raw ?? '');
      if (said === wanted && isFree(first, end)) return { first, end };
    }
  }
  return fieldAtWord(tokens, field, taken);
}

/** "as a table", at the end. */
function fileWordsAt(tokens: readonly LineToken[], taken: readonly boolean[]): Stretch | undefined {
  const first = tokens.findLastIndex(({ low }) => low === 'as' || low === 'into');
  return first < 0 || taken.slice(first).includes(true) ? undefined : { first, end: tokens.length };
}

const letters = (text: string) => foldedWords(text).join('');

/** A value that is asked for, by its own name: "ada's mail". */
function fieldAtWord(
  tokens: readonly LineToken[],
  field: string,
  taken: readonly boolean[],
): Stretch | undefined {
  const [plain = ''] = field.split(':');
  const at = tokens.findIndex(({ low }, i) => taken[i] !== true && low.includes(plain.toLowerCase()));
  return at < 0 ? undefined : { first: at, end: at + 1 };
}

/** The words at the beginning, or else at the end, that are neither a name nor a value. */
function verbAt(tokens: readonly LineToken[], taken: readonly boolean[]): Stretch | undefined {
  let end = 0;
  while (end < tokens.length && taken[end] !== true) end += 1;
  while (end > 1 && SMALL.has(tokens[end - 1]?.low ?? '')) end -= 1;
  if (end > 0) return { first: 0, end };
  let first = tokens.length;
  while (first > 0 && taken[first - 1] !== true) first -= 1;
  return first < tokens.length ? { first, end: tokens.length } : undefined;
}

function saysOf({ field }: LineValue): string {
  const [plain = '', kind] = field.split(':');
  const word = WORDS.get(plain.replace(/^-/, '')) ?? plain;
  return kind === undefined ? word : `${word} ${kind}`;
}

const WORDS = new Map<string, string>([
  ['lastTalk', texts.lastTalk],
  ['to', texts.to],
  ['as', texts.file],
  ['next', texts.again],
]);

function verbOf({ need, act }: Reading): string {
  if (need === 'new') return texts.makesNew;
  if (need === 'fill') return texts.fillsIn;
  if (need === 'show') return texts.shows;
  return act ?? texts.does;
}
