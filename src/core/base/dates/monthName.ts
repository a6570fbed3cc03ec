const months = new Map<string, string>();

/** "November 2026" for 2026-11; formatted once, as a book has few months and many cards. */
export function monthName(month: string, locale?: string): string {
  const key = `${locale ?? ''} ${month}`;
  const known = months.get(key);
  if (known !== undefined) return known;
  const options = { month: 'long', year: 'numeric', timeZone: 'UTC' } as const;
  const text = new Date(`${month}-15T00:00:00Z`).toLocaleDateString(locale, options);
  months.set(key, text);
  return text;
}
