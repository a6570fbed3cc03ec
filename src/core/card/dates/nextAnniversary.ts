import {
  dayNumberOf,
  daysInMonth,
  formatDayNumber,
  parseDayNumber,
  type PartialDate,
  yearOfDay,
} from '@/core/base';

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
  const now = parseDayNumber(today);
  const next = nextRound(date, now, leapDay);
  if (!next) return undefined;
  const years = date.year === undefined ? 0 : next.year - date.year;
  return {
    day: formatDayNumber(next.at),
    daysAway: next.at - now,
    ...(years > 0 ? { years } : {}),
  };
}

/** The next time that a day of the year comes round, in numbers. */
export interface NextRound {
  /** The number of the day (dayNumberOf). */
  readonly at: number;
  readonly year: number;
}

/**
 * As nextAnniversary, in numbers: for whoever goes through many days.
 *
 * @param now - the number of today
 */
export function nextRound(date: PartialDate, now: number, leapDay: LeapDayRule): NextRound | undefined {
  const { month, day } = date;
  if (month === undefined || day === undefined) return undefined;
  const thisYear = yearOfDay(now);
  for (let year = thisYear; year <= thisYear + 1; year += 1) {
    const at = dayInYear(year, month, day, leapDay);
    if (at >= now && (date.year === undefined || year >= date.year)) return { at, year };
  }
  return undefined;
}

/** The number of the day on which a day of the year is kept in some year. */
function dayInYear(year: number, month: number, day: number, leapDay: LeapDayRule): number {
  const isMissing = month === 2 && day === 29 && daysInMonth(2, year) === 28;
  if (!isMissing) return dayNumberOf(year, month, day);
  return leapDay === 'march-1' ? dayNumberOf(year, 3, 1) : dayNumberOf(year, 2, 28);
}
