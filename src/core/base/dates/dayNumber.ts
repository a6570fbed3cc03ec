/** Days in 400 years of the Gregorian calendar, and from 1 March 0000 to 1 January 1970. */
const ERA_DAYS = 146_097;
const EPOCH = 719_468;

/**
 * Days from 1970-01-01 to a day of the Gregorian calendar; negative before it. A year is counted from its March on, so
 * that the leap day comes last (the usual arithmetic of the civil calendar, from memory).
 */
export function dayNumberOf(year: number, month: number, day: number): number {
  const fromMarch = month > 2 ? year : year - 1;
  const era = Math.floor(fromMarch / 400);
  const yearOfEra = fromMarch - era * 400;
  const dayOfYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const dayOfEra = yearOfEra * 365 + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100) + dayOfYear;
  return era * ERA_DAYS + dayOfEra - EPOCH;
}

/** The number of an ISO 8601 calendar date; NaN for what isn't one. Read by letters, as it is done very often. */
export function parseDayNumber(day: string): number {
  if (day.length < 10 || day[4] !== '-' || day[7] !== '-') return NaN;
  const two = (at: number) => day.charCodeAt(at) * 10 + day.charCodeAt(at + 1) - 11 * ZERO;
  return dayNumberOf(two(0) * 100 + two(2), two(5), two(8));
}

/** The year that the day of a number lies in. */
export function yearOfDay(number: number): number {
  // Right to within a day by the mean length of a year.
  const near = Math.floor(1970 + (number - 2) / 365.2425) - 1;
  let year = near;
  while (dayNumberOf(year + 1, 1, 1) <= number) year += 1;
  return year;
}

/** The code of the digit 0. */
const ZERO = 48;

/** The ISO 8601 calendar date of a number of days since 1970-01-01. */
export function formatDayNumber(number: number): string {
  const shifted = number + EPOCH;
  const era = Math.floor(shifted / ERA_DAYS);
  const dayOfEra = shifted - era * ERA_DAYS;
  const yearOfEra = Math.floor(
    (dayOfEra -
      Math.floor(dayOfEra / 1460) +
      Math.floor(dayOfEra / 36_524) -
      Math.floor(dayOfEra / 146_096)) /
      365,
  );
  const dayOfYear = dayOfEra - (365 * yearOfEra + Math.floor(yearOfEra / 4) - Math.floor(yearOfEra / 100));
  const fromMarch = Math.floor((5 * dayOfYear + 2) / 153);
  const day = dayOfYear - Math.floor((153 * fromMarch + 2) / 5) + 1;
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9;
  const year = yearOfEra + era * 400 + (month <= 2 ? 1 : 0);
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
}

function pad(figure: number, width: number): string {
  return String(figure).padStart(width, '0');
}
