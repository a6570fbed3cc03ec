import { addDays, addMonths, parseTypedDate } from '@/core/base';

import { MONTH_WORDS } from '../rules/furtherTests';

/** Something read at the beginning of some words, and how many words it took. */
export interface TakenWords<T> {
  readonly what: T;
  readonly taken: number;
}

/** In English, in small letters, from Sunday on. */
export const WEEKDAYS = ['sunday', 'monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'];
const SHORT_DAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
/** Months in English, in small letters. */
export const MONTHS = MONTH_WORDS.map((word) => word.toLowerCase());
const FIGURES = 'zero one two three four five six seven eight nine ten eleven twelve'.split(' ');
const UNITS: Readonly<Record<string, Span['unit']>> = {
  ...{ day: 'day', days: 'day', week: 'week', weeks: 'week', month: 'month', months: 'month' },
  ...{ quarter: 'quarter', quarters: 'quarter', year: 'year', years: 'year' },
};

/** A span of time. */
export interface Span {
  readonly every: number;
  readonly unit: 'day' | 'week' | 'month' | 'quarter' | 'year';
}

/** A figure, in digits or as a word. */
export function figureOf(word: string | undefined): number | undefined {
  if (word === undefined) return undefined;
  if (/^\d{1,4}$/.test(word)) return Number(word);
  if (word === 'a' || word === 'an' || word === 'one') return 1;
  const at = FIGURES.indexOf(word);
  return at > 0 ? at : undefined;
}

/** "3 weeks", "ten days", "a year", "month". */
export function readSpan(words: readonly string[]): TakenWords<Span> | undefined {
  const [first = '', second = ''] = words;
  const alone = UNITS[first];
  if (alone) return { what: { every: 1, unit: alone }, taken: 1 };
  const every = figureOf(first);
  const unit = UNITS[second];
  if (every !== undefined && every > 0 && unit) return { what: { every, unit }, taken: 2 };
  if (first === 'half' && second === 'a' && words[2] === 'year')
    return { what: { every: 6, unit: 'month' }, taken: 3 };
  return undefined;
}

/** Days of a span, as limits count them. */
export function daysOfSpan({ every, unit }: Span): number {
  return every * { day: 1, week: 7, month: 30, quarter: 91, year: 365 }[unit];
}

/** A day so far on. */
export function dayAfter(today: string, { every, unit }: Span): string {
  if (unit === 'day') return addDays(today, every);
  if (unit === 'week') return addDays(today, 7 * every);
  return addMonths(today, every * { month: 1, quarter: 3, year: 12 }[unit]);
}

/** 0 for Sunday. */
export function weekdayOf(day: string): number {
  return new Date(`${day}T00:00:00Z`).getUTCDay();
}

/**
 * A day: "tomorrow", "on friday", "next week", "in ten days", "3 december", "2026-12-03". One that has no year is the next
 * one to come, or the last one where `isPast`.
 */
export function readDay(
  words: readonly string[],
  today: string,
  isPast = false,
): TakenWords<string> | undefined {
  const [first = '', ...rest] = words;
  if (first === 'on' || first === 'the' || first === 'by') {
    const read = rest.length === 0 ? undefined : readDay(rest, today, isPast);
    return read && { ...read, taken: read.taken + 1 };
  }
  if (first === 'today' || first === 'tonight') return { what: today, taken: 1 };
  if (first === 'tomorrow') return { what: addDays(today, 1), taken: 1 };
  if (first === 'yesterday') return { what: addDays(today, -1), taken: 1 };
  if (first === 'in' && !isPast) {
    const span = readSpan(rest);
    if (span) return { what: dayAfter(today, span.what), taken: span.taken + 1 };
  }
  if (isPast && rest.length > 0) {
    const span = readSpan(words);
    if (span && words[span.taken] === 'ago') {
      const { every, unit } = span.what;
      return { what: dayAfter(today, { every: -every, unit }), taken: span.taken + 1 };
    }
  }
  if (first === 'next' || first === 'last') {
    const [unit = ''] = rest;
    const at = weekdayIndex(unit);
    if (at >= 0) return { what: weekday(today, at, first === 'last'), taken: 2 };
    const span = UNITS[unit];
    if (span && span !== 'day')
      return { what: dayAfter(today, { every: first === 'last' ? -1 : 1, unit: span }), taken: 2 };
    return undefined;
  }
  const at = weekdayIndex(first);
  if (at >= 0) return { what: weekday(today, at, isPast), taken: 1 };
  return readDate(words, today, isPast);
}

function weekdayIndex(word: string): number {
  const at = WEEKDAYS.indexOf(word);
  return at >= 0 ? at : SHORT_DAYS.indexOf(word);
}

function weekday(today: string, at: number, isPast: boolean): string {
  const ahead = (at - weekdayOf(today) + 7) % 7 || 7;
  return addDays(today, isPast ? (ahead === 7 ? -7 : ahead - 7) : ahead);
}

/** A date in up to four words, as long as possible. */
function readDate(words: readonly string[], today: string, isPast: boolean): TakenWords<string> | undefined {
  for (let count = Math.min(4, words.length); count > 0; count -= 1) {
    const text = words.slice(0, count).join(' ');
    if (!/\d/.test(text) || (count === 1 && !/^\d{1,4}[-./]\d{1,2}/.test(text))) continue;
    const date = parseTypedDate(text, 'day-first', 'en');
    if (date?.month === undefined || date.day === undefined) continue;
    const monthDay = `${String(date.month).padStart(2, '0')}-${String(date.day).padStart(2, '0')}`;
    if (date.year !== undefined) return { what: `${date.year}-${monthDay}`, taken: count };
    const year = Number(today.slice(0, 4));
    const same = `${year}-${monthDay}`;
    const isOver = isPast ? same > today : same < today;
    return { what: isOver ? `${isPast ? year - 1 : year + 1}-${monthDay}` : same, taken: count };
  }
  return undefined;
}

/** "10:00", "at 10", "at 3 pm", as HH:MM. */
export function readTime(words: readonly string[]): TakenWords<string> | undefined {
  const [first = '', ...rest] = words;
  const isAt = first === 'at';
  const [figure = '', suffix = ''] = isAt ? rest : words;
  const match = /^(\d{1,2})(?:[:.](\d{2}))?(am|pm)?$/.exec(figure);
  if (!match) return undefined;
  const half = match[3] ?? (/^(?:am|pm)$/.test(suffix) ? suffix : undefined);
  if (!isAt && match[2] === undefined && half === undefined) return undefined;
  const hour = (Number(match[1]) % (half ? 12 : 24)) + (half === 'pm' ? 12 : 0);
  const minute = Number(match[2] ?? 0);
  if (hour > 23 || minute > 59) return undefined;
  const taken = 1 + (isAt ? 1 : 0) + (half !== undefined && match[3] === undefined ? 1 : 0);
  return { what: `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`, taken };
}
