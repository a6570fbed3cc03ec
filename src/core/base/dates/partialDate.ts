/** A day of which some parts may be unknown (RFC 9553 §2.8.1). */
export interface PartialDate {
  year?: number;
  month?: number;
  day?: number;
  calendarScale?: string;
}

/** The day parts of an anniversary; a point in time gives its day in UTC. */
export function toPartialDate(date: PartialDate | { readonly utc: string }): PartialDate {
  if ('utc' in date) {
    const [year, month, day] = date.utc.slice(0, 10).split('-').map(Number);
    return { year: year ?? 0, month: month ?? 1, day: day ?? 1 };
  }
  return date;
}

/** Days in a month of the Gregorian calendar; February has 29 where the year isn't known. */
export function daysInMonth(month: number, year = 2000): number {
  const isLeap = (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
  return [31, isLeap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1] ?? 0;
}

/** Whether all the parts that are there exist in the calendar together (no 31 April, no 29 February 1900). */
export function isRealDate({ year, month, day }: PartialDate): boolean {
  if (month !== undefined && (month < 1 || month > 12)) return false;
  return day === undefined || (month !== undefined && day >= 1 && day <= daysInMonth(month, year));
}

/** A partial date in the words of a locale: "3 February", "3 February 1968", "February 1968", "1968". */
export function formatPartialDate({ year, month, day }: PartialDate, locale?: string): string {
  // Leap years stand in where the year isn't known; setUTCFullYear, since Date.UTC reads 0 to 99 as 1900 to 1999.
  const date = new Date(Date.UTC(2000, (month ?? 1) - 1, day ?? 1));
  if (year !== undefined) date.setUTCFullYear(year);
  return new Intl.DateTimeFormat(locale, {
    timeZone: 'UTC',
    ...(day === undefined ? {} : { day: 'numeric' as const }),
    ...(month === undefined ? {} : { month: 'long' as const }),
    ...(year === undefined ? {} : { year: 'numeric' as const }),
  }).format(date);
}
