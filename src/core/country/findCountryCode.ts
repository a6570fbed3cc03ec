import { countryCodes } from './countryCodes';

/**
 * The code of a country by its name in a locale or in English, or by the code itself (CLDR, through Intl).
 *
 * @returns undefined for a name that isn't known
 */
export function findCountryCode(name: string, locale = 'en'): string | undefined {
  const wanted = name.trim().toLowerCase();
  if (wanted === '') return undefined;
  // Said everywhere, and no code of the standard: it is reserved for the same country.
  if (wanted === 'uk') return 'GB';
  const names = [...new Set([locale, 'en'])].map(
    (one) => new Intl.DisplayNames(one, { type: 'region', fallback: 'none' }),
  );
  return countryCodes().find(
    (code) => code.toLowerCase() === wanted || names.some((list) => list.of(code)?.toLowerCase() === wanted),
  );
}
