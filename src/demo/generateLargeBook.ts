import { type Card, newCard, parseName } from '@/core/card';

import { COUNTRIES, NOTES, ORGANISATIONS, ROLES } from './people.data';
import { Dice } from './random';

/** A book of any size for measuring, without portraits. The same size and seed give the same book. */
export function generateLargeBook(size: number, seed = 7): Card[] {
  const dice = new Dice(seed);
  return Array.from({ length: size }, (_, i): Card => {
    const country = dice.pick(COUNTRIES);
    const other = dice.pick(COUNTRIES);
    const given = dice.pick(country.people).split(' ')[0] ?? 'Ada';
    const surname = dice.pick(other.people).split(' ').at(-1) ?? 'Lowther';
    // A syllable more, so that names are as many and as rare as in a real book of this size.
    const ending = dice.pick(['', 'son', 'berg', 'ova', 'ini', 'ez', 'well', 'ström', 'mann', 'ski']);
    const name = parseName(`${given} ${surname}${ending}`);
    const [title, tag] = dice.pick(ROLES);
    const [town, postcode] = dice.pick(country.towns);
    const number = (pattern: string) => pattern.replace(/#/g, () => String(dice.below(10)));
    return {
      ...newCard(`urn:uuid:00000000-0000-4000-9000-${String(i).padStart(12, '0')}`, '2026-01-01T00:00:00Z'),
      ...(name ? { name } : {}),
      titles: { t1: { name: title, kind: 'title' } },
      organizations: { g1: { name: dice.pick(ORGANISATIONS)[0] } },
      phones: {
        p1: { number: number(dice.pick(country.phones)), contexts: { work: true } },
        p2: { number: number(dice.pick(country.phones)), features: { mobile: true } },
      },
      emails: { e1: { address: `person${i}@example.org`, contexts: { work: true } } },
      addresses: {
        a1: {
          components: [
            { kind: 'name', value: dice.pick(country.streets) },
            { kind: 'postcode', value: postcode },
            { kind: 'locality', value: town },
          ],
          countryCode: country.code,
        },
      },
      anniversaries: {
        d1: {
          kind: 'birth',
          date: { year: 1940 + dice.below(60), month: 1 + dice.below(12), day: 1 + dice.below(28) },
        },
      },
      keywords: { [tag]: true },
      notes: { o1: { note: dice.pick(NOTES) } },
    };
  });
}
