import { dayNumberOf, formatDayNumber, parseDayNumber } from './dayNumber';
import { daysInMonth } from './partialDate';

/** Days from one ISO 8601 calendar date to another; negative where it lies before. Gregorian calendar. */
export function daysBetween(from: string, to: string): number {
  return parseDayNumber(to) - parseDayNumber(from);
}

/** The date so many days after another. */
export function addDays(day: string, days: number): string {
  return formatDayNumber(parseDayNumber(day) + days);
}

/** The date so many months after another; the last day of a month that is shorter. */
export function addMonths(day: string, months: number): string {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const all = year * 12 + month - 1 + months;
  const [newYear, newMonth] = [Math.floor(all / 12), (((all % 12) + 12) % 12) + 1];
  return formatDayNumber(dayNumberOf(newYear, newMonth, Math.min(date, daysInMonth(newMonth, newYear))));
}

/** Our words for the yearly days of RFC 9553 §2.8.1 that people keep; any other is an anniversary. */
export const DAY_NAMES: Readonly<Record<string, string>> = { birth: 'birthday', wedding: 'wedding day' };
