import { addMonths, daysBetween } from './dayCount';
import { parseDayNumber } from './dayNumber';

/** ISO 8601: weeks begin on Monday. */
const MONDAY = 1;

/** What `Intl.Locale` says of weeks where it does: a method in newer engines, a property in older ones (ECMA-402). */
interface WithWeeks {
  readonly getWeekInfo?: () => { readonly firstDay: number };
  readonly weekInfo?: { readonly firstDay: number };
}

/** The day a week begins with, 1 for Monday to 7 for Sunday (ISO 8601); Monday where the engine doesn't say. */
export function firstWeekday(locale: string): number {
  const known = new Intl.Locale(locale) as WithWeeks;
  return (known.getWeekInfo?.() ?? known.weekInfo)?.firstDay ?? MONDAY;
}

/**
 * The weeks of a month (2026-11) as rows of seven: the date of each day, undefined before the first and after the last.
 *
 * @param first - the day a week begins with, 1 for Monday to 7 for Sunday
 */
export function monthGrid(month: string, first: number): (string | undefined)[][] {
  const start = `${month}-01`;
  const days = daysBetween(start, addMonths(start, 1));
  // 1970-01-01 was a Thursday.
  const weekday = (((parseDayNumber(start) + 3) % 7) + 7) % 7;
  const before = (weekday - (first - 1) + 7) % 7;
  return Array.from({ length: Math.ceil((before + days) / 7) }, (_, week) =>
    Array.from({ length: 7 }, (__, i) => {
      const day = week * 7 + i - before + 1;
      return day < 1 || day > days ? undefined : `${month}-${String(day).padStart(2, '0')}`;
    }),
  );
}
