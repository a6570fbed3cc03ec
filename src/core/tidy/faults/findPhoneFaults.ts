import { type Card, parsePhone, type Phone } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

/** Digits of extensions and service numbers, which numbering plans don't cover. */
const SHORT = 6;

/**
 * Numbers that can't be dialled, and numbers that can only be dialled at home. Source: E.164 through libphonenumber: a
 * number of a length that no plan has. One of the right length in a range that isn't given out yet is no fault.
 */
export function findPhoneFaults(card: Card, home: string): Fault[] {
  return Object.entries(card.phones ?? {}).flatMap(([id, phone]) => faultOf(card, id, phone, home) ?? []);
}

function faultOf(card: Card, id: string, phone: Phone, home: string): Fault | undefined {
  const { number } = phone;
  const place = { uid: card.uid, path: ['phones', id, 'number'], was: number, shown: number };
  const digits = number.replace(/\D/g, '');
  const isAbroad = /^\s*(?:tel:)?\s*(?:\+|00)/i.test(number);
  const country = countryOf(card);
  const parsed = parsePhone(number, country ?? home);
  if (/[a-z]{4,}/i.test(number.replace(/^tel:|ext(?:ension|\.)?|phone-context.*/gi, '')))
    return { ...place, code: 'undialable', says: texts.hasLettersInIt };
  if (digits === '') return { ...place, code: 'undialable', says: texts.hasNoDigitsInIt };
  if (digits.length <= SHORT && !isAbroad) return undefined;
  if (!parsed?.isPossible) return { ...place, code: 'undialable', says: lengthFault(digits, isAbroad) };
  if (isAbroad || !parsed.isValid) return undefined;
  const whole =
    parsed.extension === undefined ? parsed.international : texts.ext(parsed.international, parsed.extension);
  return {
    ...{ ...place, code: 'no-country-code', says: texts.canOnlyBeDialled },
    mend: {
      edits: [{ path: place.path, before: number, after: whole }],
      shown: whole,
      // The address says the country; without one it may well be another than the user's.
      isSure: country !== undefined,
    },
  };
}

function lengthFault(digits: string, isAbroad: boolean): string {
  if (digits.length > 15) return texts.hasMoreThan15;
  return isAbroad ? texts.hasTooManyOrTooFew : texts.hasTooManyOrTooFewDigits;
}

/** The country of the card's addresses, where they agree. */
function countryOf({ addresses }: Card): string | undefined {
  const codes = new Set(
    Object.values(addresses ?? {}).flatMap(({ countryCode }) => countryCode?.toUpperCase() ?? []),
  );
  return codes.size === 1 ? [...codes][0] : undefined;
}
