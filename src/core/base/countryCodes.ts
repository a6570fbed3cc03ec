let codes: readonly string[] | undefined;

/**
 * All pairs of letters that may be a country's code (ISO 3166-1 alpha-2), in the order of the alphabet; which of them are
 * one is known by their having a name. A code that is out of use has the name of what has taken its place (DD that of
 * DE), and is left out.
 */
export function countryCodes(): readonly string[] {
  // Made when it is first asked for: nearly seven hundred locales take their time.
  codes ??= PAIRS.filter((code) => new Intl.Locale(`und-${code}`).region === code);
  return codes;
}

const LETTERS = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
const PAIRS = LETTERS.flatMap((a) => LETTERS.map((b) => a + b));

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
