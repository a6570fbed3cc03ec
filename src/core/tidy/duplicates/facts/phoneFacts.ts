import { getCountryCallingCode, isSupportedCountry } from 'libphonenumber-js';

/** A number in the form in which two are compared. */
export interface PhoneFact {
  /** E.164 where the country is known; else ~ and the national digits, which may be of any country. */
  readonly number: string;
  /** '' for none. */
  readonly extension: string;
  /** By what numbers are brought together. */
  readonly tail: string;
  /** By what they are counted: more of it, as many numbers of one country end alike. */
  readonly counted: string;
  readonly isMobile: boolean;
}

/** Digits at the end of a number that have to agree where one of two says no country; cards are brought together by as many. */
const [NUMBER_TAIL, COUNTED_TAIL] = [7, 9];

/**
 * A number as it is compared. Without the numbering plans, which would take most of the time: what the country of a national
 * number is, the other number says, or whoever asks.
 */
export function comparableNumber(written: string, isMobile: boolean, country?: string): PhoneFact {
  // Most numbers have nothing but digits and spaces.
  const [plain = '', extension = ''] = /^[\d +/-]*$/.test(written)
    ? splitAtHyphen(written)
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
    counted: number.slice(1).slice(-COUNTED_TAIL),
    isMobile,
  };
}

/** What a hyphen sets off behind a number that is whole without it is an extension (DIN 5008): +49 30 1234567-89. */
const SET_OFF = /^(\+[\d ]+)-(\d{1,4})$/;
/** Digits of an international number from which it is taken to be whole. Ours. */
const WHOLE = 10;

function splitAtHyphen(written: string): [plain: string, extension?: string] {
  if (!written.includes('-')) return [written];
  const [, plain, extension] = SET_OFF.exec(written.trim()) ?? [];
  return plain !== undefined && extension !== undefined && plain.replace(/\D/g, '').length >= WHOLE
    ? [plain, extension]
    : [written];
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
