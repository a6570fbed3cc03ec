import { addMonths, daysBetween } from '@/core/base';

import type { TalkWay } from '../rules/fields';
import { lows, one, phraseAt, phraseOf, type Reader } from './limitParts';
import { daysOfSpan, MONTHS, readDay, readSpan, weekdayOf } from './lineDays';

/** Closeness of close friends. Our choice. */
const CLOSE_FROM = 60;

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
export const readTalks: Reader = (tokens, _, today) => {
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

/** "for a year", "since june", "this month", "last week", "last month", "within 90 days". */
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
  if (first === 'last' && (second === 'month' || second === 'year')) {
    const begin = second === 'month' ? `${today.slice(0, 8)}01` : `${today.slice(0, 4)}-01-01`;
    const before = second === 'month' ? addMonths(begin, -1) : `${Number(begin.slice(0, 4)) - 1}-01-01`;
    return { days: daysBetween(before, today), until: daysBetween(begin, today) + 1, taken: 2 };
  }
  if (first === 'yesterday') return { days: 1, until: 1, taken: 1 };
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

/** "close friends". */
export const readClose: Reader = (tokens) => {
  const lead = phraseAt(tokens, [
    'close friends',
    'good friends',
    'close people',
    'closest friends',
    'friends',
  ]);
  return lead === undefined ? undefined : one({ kind: 'close', from: CLOSE_FROM }, lead);
};

/** "added this week", "new last month". */
export const readSince: Reader = (tokens, _, today) => {
  const word = tokens[0]?.low ?? '';
  if (!['added', 'changed', 'new', 'updated'].includes(word)) return undefined;
  const span = pastSpan(lows(tokens.slice(1)), today);
  if (!span) return undefined;
  const { until } = span;
  const days = span.days === 'year' ? daysBetween(`${today.slice(0, 4)}-01-01`, today) : span.days;
  const what = word === 'changed' || word === 'updated' ? 'changed' : 'added';
  return one({ kind: 'since', what, days, ...(until === undefined ? {} : { until }) }, 1 + span.taken);
};
