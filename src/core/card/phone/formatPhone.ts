import { type ParsedPhone, parsePhone } from './parsePhone';

/**
 * A number for people's eyes: as at home for numbers of `country`, internationally for others (ITU-T E.123).
 * A number that can't be read, or that the country's plan doesn't know, is shown as it was written.
 */
export function formatPhone(number: string, country?: string): string {
  const parsed = parsePhone(number, country);
  if (!parsed || isForeign(parsed, number)) return withoutScheme(number);
  return parsed.isDomestic ? parsed.national : parsed.international;
}

/** The tel: URI (RFC 3966) that dials a number; as it was written where its country code can't be known. */
export function dialUri(number: string, country?: string): string {
  const parsed = parsePhone(number, country);
  if (!parsed || isForeign(parsed, number)) return `tel:${withoutScheme(number).replace(/[^\d+*#]/g, '')}`;
  return `tel:${parsed.e164}${parsed.extension === undefined ? '' : `;ext=${parsed.extension}`}`;
}

/** Whether a number without a country code is none of the country it was read by: its zeros would be lost. */
function isForeign({ national }: ParsedPhone, number: string): boolean {
  const startsWithZero = (text: string) => /^\D*0(?!0)/.test(text);
  return startsWithZero(withoutScheme(number)) && !startsWithZero(national);
}

function withoutScheme(number: string): string {
  return number.replace(/^tel:/i, '');
}
