import { parsePhone } from './parsePhone';

/**
 * A number for people's eyes: as at home for numbers of `country`, internationally for others (ITU-T E.123).
 * A number that can't be read is shown as it was written.
 */
export function formatPhone(number: string, country?: string): string {
  const parsed = parsePhone(number, country);
  if (!parsed) return number.replace(/^tel:/i, '');
  return parsed.isDomestic ? parsed.national : parsed.international;
}

/** The tel: URI (RFC 3966) that dials a number; without the country code where none can be known. */
export function dialUri(number: string, country?: string): string {
  const parsed = parsePhone(number, country);
  if (!parsed) return `tel:${number.replace(/^tel:/i, '').replace(/[^\d+*#]/g, '')}`;
  return `tel:${parsed.e164}${parsed.extension === undefined ? '' : `;ext=${parsed.extension}`}`;
}
