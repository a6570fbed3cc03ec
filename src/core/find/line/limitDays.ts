import type { Test } from '../rules/rule';
import { lows, one, phraseAt, type Reader } from './limitParts';
import { daysOfSpan, MONTHS, readSpan, weekdayOf } from './lineDays';

/** Days that "upcoming" means. Our choice. */
const SOON_DAYS = 30;

/** "birthday in december", "birthdays next week", "whose birthday is today". */
export const readBirthdays: Reader = (tokens, _, today) => {
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
export const readAges: Reader = (tokens) => {
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

/** "due this week", "overdue". */
export const readDue: Reader = (tokens, _, today) => {
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
