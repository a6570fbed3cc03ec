import { getCountryCallingCode, isSupportedCountry } from 'libphonenumber-js';

/** A number in the form in which two are compared. */
export interface PhoneFact {
  /** E.164 where the country is known; else ~ and the national digits, which may be of any country. */
  readonly number: string;
  /** '' for none. */
  readonly extension: string;
  /** By what numbers are brought together and counted. */
  readonly tail: string;
  readonly isMobile: boolean;
}

/** Digits at the end of a number that have to agree where one of two says no country; cards are brought together by as many. */
const NUMBER_TAIL = 7;

/**
 * A number as it is compared. Without the numbering plans, which would take most of the time: what the country of a national
 * number is, the other number says, or whoever asks.
 */
export function comparableNumber(written: string, isMobile: boolean, country?: string): PhoneFact {
  // Most numbers have nothing but digits and spaces.
  const [plain = '', extension = ''] = /^[\d +/-]*$/.test(written)
    ? [written]
    : written
        .replace(/^\s*tel:/i, '')
        .replace(/\(0\)/g, '')
        .split(/;ext=|ext\.?|x|#/i);
  const digits = plain.replace(/\D/g, '');
  const number = withCountry(plain, digits, country);
  return {
    number,
    extension: extension === '' ? '' : extension.replace(/\D/g, ''),
    tail: number.slice(-NUMBER_TAIL),
    isMobile,
  };
}

function withCountry(plain: string, digits: string, country: string | undefined): string {
  if (/^\s*\+/.test(plain)) return `+${digits}`;
  if (/^\s*00[1-9]/.test(plain)) return `+${digits.slice(2)}`;
  const national = digits.replace(/^0+/, '');
  return country !== undefined && isSupportedCountry(country)
    ? `+${getCountryCallingCode(country)}${national}`
    : `~${national}`;
}

/** The same in E.164; where one says no country, the same at its end. Extensions aside. */
export function isSameNumber(a: PhoneFact, b: PhoneFact): boolean {
  if (a.tail !== b.tail || a.tail.length < NUMBER_TAIL) return false;
  if (a.number === b.number) return true;
  if (a.number.startsWith('+') && b.number.startsWith('+')) return false;
  const [mine, theirs] = [a.number.slice(1), b.number.slice(1)];
  return mine.length < theirs.length ? theirs.endsWith(mine) : mine.endsWith(theirs);
}
