import {
  type CountryCode,
  getCountryCallingCode,
  isSupportedCountry,
  parsePhoneNumberFromString,
  type PhoneNumber,
} from 'libphonenumber-js';

/** What a written number turns out to be. */
export interface ParsedPhone {
  /** E.164, such as +442079460958. */
  readonly e164: string;
  /** Spaced as abroad: +44 20 7946 0958. */
  readonly international: string;
  /** Spaced as at home: 020 7946 0958. */
  readonly national: string;
  /** The code of its country, or of what else gives numbers out: 44. */
  readonly callingCode: string;
  readonly extension?: string;
  /** ISO 3166-1 alpha-2, where the number tells. */
  readonly country?: string;
  /** Whether it is one of `country`'s own, to be written as at home; a number of no known range goes by its code. */
  readonly isDomestic: boolean;
  /** Whether it has as many figures as numbers of its country can have. */
  readonly isPossible: boolean;
  /** Whether the numbering plan knows it; ranges kept for fiction are often not. */
  readonly isValid: boolean;
}

/**
 * Reads a number as people and files write it, tel: URIs (RFC 3966) included.
 *
 * @param country - ISO 3166-1 alpha-2, for numbers without a country code
 * @returns undefined where the text is no number (a word, too few digits, no country to read it by)
 */
export function parsePhone(text: string, country?: string): ParsedPhone | undefined {
  const written = text.replace(/^tel:/i, '').replace(/^00(?=[1-9])/, '+');
  const home = country !== undefined && isSupportedCountry(country) ? (country as CountryCode) : undefined;
  const parsed = parsePhoneNumberFromString(written, home === undefined ? {} : { defaultCountry: home });
  return parsed && toParsed(parsed, home);
}

/** Reads a number that is written as at home where numbers begin with a calling code, such as 44. */
export function parseInPlan(text: string, callingCode: string): ParsedPhone | undefined {
  const parsed = parsePhoneNumberFromString(text, { defaultCallingCode: callingCode });
  return parsed && toParsed(parsed, undefined);
}

function toParsed(parsed: PhoneNumber, home: CountryCode | undefined): ParsedPhone {
  return {
    e164: parsed.number,
    international: parsed.formatInternational(),
    national: parsed.formatNational(),
    callingCode: parsed.countryCallingCode,
    ...(parsed.ext === undefined ? {} : { extension: parsed.ext }),
    ...(parsed.country === undefined ? {} : { country: parsed.country }),
    isDomestic:
      home !== undefined &&
      (parsed.country === undefined
        ? parsed.countryCallingCode === getCountryCallingCode(home)
        : parsed.country === home),
    isPossible: parsed.isPossible(),
    isValid: parsed.isValid(),
  };
}
