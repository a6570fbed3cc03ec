import { daysInMonth } from './date';
import type { PartialDate } from './schema/types';

/** Where 29 February is kept in a year without one. */
export type LeapDayRule = 'february-28' | 'march-1';

/** When a yearly day comes round next. */
export interface NextAnniversary {
  /** ISO 8601 calendar date, such as 2026-11-24. */
  readonly day: string;
  /** Whole days from today; 0 for today itself. */
  readonly daysAway: number;
  /** Years reached on that day; undefined where the year isn't known or the day is the first one itself. */
  readonly years?: number;
}

const DAY_MS = 86_400_000;

/**
 * The next time that a day of the year comes round, today included. Gregorian calendar, ISO 8601.
 *
 * @param today - ISO 8601 calendar date where the user is
 * @returns undefined for a date without month and day
 */
export function nextAnniversary(
  date: PartialDate,
  today: string,
  leapDay: LeapDayRule = 'february-28',
): NextAnniversary | undefined {
  const { month, day } = date;
  if (month === undefined || day === undefined) return undefined;
  const now = Date.parse(`${today}T00:00:00Z`);
  const thisYear = Number(today.slice(0, 4));
  for (const year of [thisYear, thisYear + 1]) {
    const at = dayInYear(year, month, day, leapDay);
    if (at < now || (date.year !== undefined && year < date.year)) continue;
    const years = date.year === undefined ? 0 : year - date.year;
    return {
      day: new Date(at).toISOString().slice(0, 10),
      daysAway: Math.round((at - now) / DAY_MS),
      ...(years > 0 ? { years } : {}),
    };
  }
  return undefined;
}

/** The moment a day of some year begins in UTC, in milliseconds since 1970. */
function dayInYear(year: number, month: number, day: number, leapDay: LeapDayRule): number {
  const isMissing = month === 2 && day === 29 && daysInMonth(2, year) === 28;
  if (!isMissing) return Date.UTC(year, month - 1, day);
  return leapDay === 'march-1' ? Date.UTC(year, 2, 1) : Date.UTC(year, 1, 28);
}
