import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';

import { arbitraryCard } from '../../../test/unit/arbitraryCard';
import { importOnto } from './importOnto';

const ada = (more: Partial<Card>): Card => ({
  ...newCard('a', '2026-01-01T00:00:00Z'),
  name: { full: 'Ada Lowther' },
  ...more,
});
const town = (value: string, more = {}) => ({ components: [{ kind: 'locality', value }], ...more });

/** What the book has, what the file says, and that nothing changes by it. */
const same: readonly (readonly [string, Partial<Card>, Partial<Card>])[] = [
  ['a name in capitals', {}, { name: { full: 'ADA LOWTHER' } }],
  ['a name in small letters', {}, { name: { full: 'ada lowther' } }],
  [
    'numbers written at home, in another order',
    { phones: { p1: { number: '+442079460123' }, p2: { number: '+447700900123' } } },
    { phones: { x1: { number: '07700 900123' }, x2: { number: '(020) 7946 0123' } } },
  ],
  [
    'a mail address in capitals',
    { emails: { e: { address: 'ada@example.org' } } },
    { emails: { m: { address: 'ADA@Example.org' } } },
  ],
  [
    'a link by http',
    { links: { l: { uri: 'https://example.org/ada' } } },
    { links: { w: { uri: 'http://EXAMPLE.org/ada' } } },
  ],
  [
    'a town in capitals, without its country',
    { addresses: { a: town('Wexmere', { countryCode: 'GB' }) } },
    { addresses: { z: town('WEXMERE') } },
  ],
  [
    'a nickname in small letters',
    { nicknames: { n: { name: 'Della' } } },
    { nicknames: { z: { name: 'della' } } },
  ],
  [
    'an organisation without its legal form',
    { organizations: { o: { name: 'Quay Strings Ltd' } } },
    { organizations: { z: { name: 'Quay Strings' } } },
  ],
  ['a tag in capitals', { keywords: { choir: true } }, { keywords: { Choir: true } }],
];
test.each(same)('%s is no change', (_, book, file) =>
  expect(importOnto(ada(book), ada(file), 'GB')).toEqual(ada(book)),
);

/** What is better written in the file is taken; what is something else is too. */
const taken: readonly (readonly [string, Partial<Card>, Partial<Card>])[] = [
  ['a name that was in capitals', { name: { full: 'ADA LOWTHER' } }, { name: { full: 'Ada Lowther' } }],
  ['marks', { nicknames: { n: { name: 'Gotz' } } }, { nicknames: { n: { name: 'Götz' } } }],
  ['another name', {}, { name: { full: 'Ada Loather' } }],
  [
    'another kana, which only has a mark more',
    { nicknames: { n: { name: 'ハハ' } } },
    { nicknames: { n: { name: 'パパ' } } },
  ],
  ['a further tag', { keywords: { choir: true } }, { keywords: { choir: true, press: true } }],
];
test.each(taken)('%s is taken', (_, book, file) =>
  expect(importOnto(ada(book), ada(file), 'GB')).toEqual(ada(file)),
);

test('law: a card onto itself is itself, and what was imported changes nothing when it is imported again', () => {
  fc.assert(
    fc.property(arbitraryCard, arbitraryCard, (one, other) => {
      const [now, file] = [one, { ...other, uid: one.uid }];
      expect(importOnto(now, now, 'GB')).toEqual(now);
      const once = importOnto(now, file, 'GB');
      expect(importOnto(once, file, 'GB')).toEqual(once);
    }),
    { numRuns: 150 },
  );
});
