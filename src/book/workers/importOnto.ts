import { type Card, countriesOf, keepWriting } from '@/core/card';
import { deviceChange } from '@/core/sync';

/**
 * A card of the book with what a card of a file says beside it or otherwise, by the rules of synchronising: a number
 * written in another way is no change, nor is anything else that says the same and isn't better written. What the file
 * doesn't say stays, since it may not be able to say it (a table has no photos, few formats know that a card is private).
 * Nothing is deleted by an import.
 *
 * @param country - ISO 3166-1 alpha-2, for numbers without a country code
 */
export function importOnto(now: Card, file: Card, country: string): Card {
  const merged = deviceChange({ known: now, served: now, sent: file, keeps: {}, country });
  const own = Object.entries(file).filter(
    ([key]) => key.startsWith('cordialis.example:') && !Object.hasOwn(now, key),
  );
  // The shape of a card: each property is from one of the two.
  const whole = { ...merged, ...(Object.fromEntries(own) as Partial<Card>) };
  return keepWriting(now, whole, countriesOf(country, now, file));
}
