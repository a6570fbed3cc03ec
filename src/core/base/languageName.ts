/** A language by its tag (RFC 5646), in words; the tag itself where CLDR has no name for it. */
export function formatLanguage(tag: string, locale?: string): string {
  try {
    return new Intl.DisplayNames(locale, { type: 'language', fallback: 'code' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}

/** ISO 639-1, of which Intl knows the names: all pairs of letters. */
const PAIRS = [...'abcdefghijklmnopqrstuvwxyz'].flatMap((a) =>
  [...'abcdefghijklmnopqrstuvwxyz'].map((b) => a + b),
);

/** The tag of a language by its name in a locale or in English; any other text is taken for a tag. */
export function parseLanguage(name: string, locale = 'en'): string {
  const wanted = name.trim().toLowerCase();
  const lists = [...new Set([locale, 'en'])].map(
    (one) => new Intl.DisplayNames(one, { type: 'language', fallback: 'none' }),
  );
  const tag = PAIRS.find((pair) => lists.some((list) => list.of(pair)?.toLowerCase() === wanted));
  return tag ?? name.trim();
}
