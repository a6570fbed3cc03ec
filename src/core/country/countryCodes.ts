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
