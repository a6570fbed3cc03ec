import type { Card } from '../card';

/** The language that a card prefers of some, by its first subtag; English where it prefers none of them. */
export function languageOf(card: Card, known: Readonly<Record<string, unknown>>): string {
  const languages = Object.values(card.preferredLanguages ?? {})
    .sort((a, b) => (a.pref ?? 101) - (b.pref ?? 101))
    .map(({ language }) => language.toLowerCase().split('-')[0] ?? '');
  return languages.find((one) => Object.hasOwn(known, one)) ?? 'en';
}
