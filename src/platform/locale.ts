import { texts } from '@/texts/base/platform';
import { LANGUAGE } from '@/texts/plural';

/** The application speaks British English. */
export const LOCALE = LANGUAGE;

const days = new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric' });

/** An amount of data: "3.1 MB", "240 MB". */
export function formatMegabytes(bytes: number): string {
  if (bytes < 1e5) return texts.lessThanTenthOfMegabyte;
  const digits = bytes < 1e7 ? 1 : 0;
  return new Intl.NumberFormat(LOCALE, {
    ...{ style: 'unit', unit: 'megabyte', maximumFractionDigits: digits },
  }).format(bytes / 1e6);
}

const countries = new Intl.DisplayNames(LOCALE, { type: 'region' });

/** The name of a country; what is no code stays as it is. @param code - ISO 3166-1 alpha-2 */
export function countryName(code: string): string {
  return /^[A-Z]{2}$/.test(code) ? (countries.of(code) ?? code) : code;
}

/** The day of a UTCDateTime where the user is: "24 Nov 2026". */
export function formatDay(utc: string): string {
  return days.format(new Date(utc));
}

/** A distance for people: "12 km"; "here" for less than one, '' for one that isn't known. */
export function formatKm(km: number): string {
  if (!Number.isFinite(km)) return '';
  return km < 1 ? texts.here : texts.kmCount(Math.round(km));
}
