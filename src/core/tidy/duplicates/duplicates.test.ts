// Jaro–Winkler values: Winkler (1990), table of examples (MARTHA/MARHTA 0.961, DWAYNE/DUANE 0.84, DIXON/DICKSONX 0.813).
// What is one person and what isn't: common practice; the generated books know it themselves.
import { type Card, newCard, parseName } from '@/core/card';
import { duplicateOf } from '@/demo/duplicateOf';
import { generateBook } from '@/demo/generateBook';
import { generateLargeBook } from '@/demo/generateLargeBook';
import { Dice } from '@/demo/random';

import { pairsOf } from '../../../../test/people/scoreClusters';
import { born, mail, phone } from '../../../../test/people/smallCards';
import { jaroWinkler } from './compare/jaroWinkler';
import { DuplicateIndex } from './duplicateIndex';
import { duplicateFacts } from './facts/facts';
import { Vocabulary } from './facts/vocabulary';
import { groupDuplicates, pairKey } from './groupDuplicates';
import { judgePair } from './judgePair';
import { Model, UNTAUGHT } from './model/model';

for (const [a, b, value] of [
  ['martha', 'marhta', 0.961],
  ['dwayne', 'duane', 0.84],
  ['dixon', 'dicksonx', 0.813],
  ['same', 'same', 1],
  ['abc', 'xyz', 0],
] as const)
  test(`${a} and ${b} are ${value} alike`, () => {
    expect(jaroWinkler(a, b)).toBeCloseTo(value, 3);
    expect(jaroWinkler(b, a)).toBeCloseTo(value, 3);
  });

let count = 0;
const person = (full: string, more: Partial<Card> = {}): Card => {
  const name = parseName(full);
  return { ...newCard(`p${(count += 1)}`, '2026-01-01T00:00:00Z'), ...(name ? { name } : {}), ...more };
};
const house = (full: string, more: Partial<Card> = {}): Card => ({
  ...newCard(`o${(count += 1)}`, '2026-01-01T00:00:00Z'),
  ...{ kind: 'org', name: { full }, ...more },
});
const at = (street: string, town: string): Partial<Card> => ({
  addresses: {
    a1: {
      components: [
        { kind: 'name', value: street },
        { kind: 'locality', value: town },
      ],
    },
  },
});
/** Others around them, so that names have a frequency. */
const others = generateLargeBook(400, 3);
const judge = (a: Card, b: Card): number => {
  const facts = [a, b, ...others].map((card) => duplicateFacts(card));
  const [one, other] = facts;
  return one && other ? judgePair(one, other, new Model(UNTAUGHT, new Vocabulary(facts))).probability : NaN;
};

const same: [name: string, a: Card, b: Card][] = [
  [
    'the number written in two ways',
    person('Oona Tarrow', phone('020 7946 0958')),
    person('Oona Tarrow', phone('+44 (0)20 7946-0958')),
  ],
  [
    'a short form and the same mail',
    person('Bill Tarrow', mail('w@tarrow.example')),
    person('William Tarrow', mail('W@Tarrow.example')),
  ],
  [
    'an initial and the same mobile',
    person('O. Tarrow', phone('07700 900123', true)),
    person('Oona Tarrow', phone('07700900123', true)),
  ],
  [
    'given name and surname swapped',
    person('Tarrow Oona', mail('o@tarrow.example')),
    person('Oona Tarrow', mail('o@tarrow.example')),
  ],
  [
    'a married name',
    person('Oona Tarrow', { ...mail('oona@x.example'), ...born(1970, 2, 3) }),
    person('Oona Quennell', { ...mail('oona@x.example'), ...born(1970, 2, 3) }),
  ],
  [
    'without its diacritics',
    person('Łucja Borówiec', mail('l@x.example')),
    person('Lucja Borowiec', mail('l@x.example')),
  ],
  [
    'in another script',
    person('Соломия Гудзь', phone('+380501234567')),
    person('Solomiia Gudz', phone('+380501234567')),
  ],
  [
    'an initial in another script',
    person('さ. 藤原', phone('+81 90 5550 0107', true)),
    person('さくら 藤原', phone('+819055500107', true)),
  ],
  [
    'a slip in the name and the same birthday',
    person('Oona Tarrow', born(1970, 2, 3)),
    person('Oona Tarow', born(1970, 2, 3)),
  ],
  ['a rare name alone', person('Oona Tarrow'), person('Oona Tarrow')],
  [
    'a firm with and without its legal form',
    house('Quay Strings Ltd', at('Quay 1', 'Wexmere')),
    house('Quay Strings', at('Quay 1', 'Wexmere')),
  ],
  [
    'a firm by its number',
    house('Quay Strings GmbH & Co. KG', phone('+49 30 1234567')),
    house('Quay Strings', phone('030/1234567')),
  ],
];
for (const [name, a, b] of same) test(`the same: ${name}`, () => expect(judge(a, b)).toBeGreaterThan(0.6));

const HOME = { ...phone('01632 960001'), ...at('Quay Street 7', 'Wexmere') };
const different: [name: string, a: Card, b: Card][] = [
  [
    'father and son',
    person('John Tarrow Sr', { ...HOME, ...born(1940, 1, 1) }),
    person('John Tarrow Jr', { ...HOME, ...born(1970, 5, 5) }),
  ],
  [
    'duplicates',
    person('Oona Tarrow', { ...HOME, ...born(1970, 2, 3) }),
    person('Edda Tarrow', { ...HOME, ...born(1970, 2, 3) }),
  ],
  [
    'a couple with one mailbox',
    person('Oona Tarrow', { ...HOME, ...mail('tarrow@x.example') }),
    person('Piers Tarrow', { ...HOME, ...mail('tarrow@x.example') }),
  ],
  [
    'namesakes born on other days',
    person('Oona Tarrow', born(1970, 2, 3)),
    person('Oona Tarrow', born(1981, 9, 30)),
  ],
  [
    'a person and a firm of that name',
    person('Oona Tarrow', mail('o@x.example')),
    house('Oona Tarrow', mail('o@x.example')),
  ],
  [
    'two people at one desk',
    person('Oona Tarrow', mail('info@hall.example')),
    person('Jory Quennell', mail('info@hall.example')),
  ],
  [
    'branches in two towns',
    house('Quay Bank', at('High Street 1', 'Wexmere')),
    house('Quay Bank Trust', at('Market 2', 'Salinas')),
  ],
];
for (const [name, a, b] of different)
  test(`not the same: ${name}`, () => expect(judge(a, b)).toBeLessThan(0.6));

const clusters = (cards: readonly Card[]) =>
  groupDuplicates(cards.map((card) => duplicateFacts(card))).map(({ uids }) => [...uids]);

test('a shared mailbox does not chain strangers together', () => {
  const desk = mail('desk@hall.example');
  const cards = [
    person('Oona Tarrow', desk),
    person('Jory Quennell', desk),
    person('Oona Tarrow', desk),
    person('Edda Vane', desk),
  ];
  expect(clusters([...cards, ...others])).toContainEqual([cards[0]?.uid, cards[2]?.uid].sort());
  expect(clusters([...cards, ...others]).flat()).not.toContain(cards[1]?.uid);
});

test('pairs kept apart stay apart, whatever else holds them together', () => {
  const [a, b, c] = [1, 2, 3].map(() => person('Oona Tarrow', mail('o@tarrow.example'))) as [
    Card,
    Card,
    Card,
  ];
  expect(clusters([a, b, c])).toEqual([[a.uid, b.uid, c.uid].sort()]);
  const apart = { ...a, 'cordialis.example:apart': { [b.uid]: true as const } };
  for (const found of clusters([apart, b, c]))
    expect(found).not.toEqual(expect.arrayContaining([a.uid, b.uid]));
});

test('a card that has just come is compared by itself', () => {
  const facts = others.map((card) => duplicateFacts(card));
  const [known] = others;
  const index = new DuplicateIndex();
  for (const one of facts) index.put(one);
  const duplicate = duplicateFacts({ ...(known as Card), uid: 'duplicate' });
  expect(index.duplicatesOf(duplicate).map(({ uids }) => uids)).toEqual([[known?.uid, 'duplicate'].sort()]);
  expect(index.duplicatesOf(duplicateFacts(person('Oona Tarrow')))).toEqual([]);
  index.remove(known?.uid ?? '');
  expect(index.duplicatesOf(duplicate)).toEqual([]);
  index.put(duplicateFacts(known as Card));
  index.put({ ...duplicateFacts(known as Card), apart: new Set(['duplicate']) });
  expect(index.duplicatesOf(duplicate)).toEqual([]);
});

test('asked card by card, the index finds the pairs that a search of the whole book links', () => {
  const dice = new Dice(5);
  const book = generateLargeBook(400, 3);
  const facts = [...book, ...book.slice(0, 40).map((card) => duplicateOf(card, dice))].map((card) =>
    duplicateFacts(card),
  );
  const index = new DuplicateIndex();
  for (const one of facts) index.put(one);
  const asked = new Set(facts.flatMap((one) => index.duplicatesOf(one).map(({ uids }) => uids.join(' '))));
  const whole = groupDuplicates(facts).filter(({ uids }) => uids.length === 2);
  expect(whole.length).toBeGreaterThan(20);
  for (const { uids } of whole) expect(asked).toContain(uids.join(' '));
});

test('in a book with known duplicates: hardly anything found is wrong, and most is found', () => {
  const dice = new Dice(99);
  const book = generateLargeBook(3000, 11);
  const duplicates = book.filter((_, i) => i % 10 === 0).map((card) => duplicateOf(card, dice));
  const truth = new Set(duplicates.map(({ uid }) => pairKey(uid, uid.replace('-duplicate', ''))));
  const found = groupDuplicates([...book, ...duplicates].map((card) => duplicateFacts(card)));
  const pairs = pairsOf(found).map(([a, b]) => pairKey(a, b));
  const right = pairs.filter((pair) => truth.has(pair)).length;
  expect(right / pairs.length).toBeGreaterThanOrEqual(0.98);
  expect(right / truth.size).toBeGreaterThanOrEqual(0.9);
  // Nothing wrong may be merged without being looked at.
  const certain = found.filter(({ grade }) => grade === 'certain');
  expect(certain.length).toBeGreaterThan(100);
  for (const { uids } of certain) expect(truth.has(pairKey(uids[0] ?? '', uids[1] ?? ''))).toBe(true);
});

test('the demo’s own duplicates are found', () => {
  const book = generateBook('2026-11-25').filter(({ kind }) => kind !== 'group');
  const duplicates = book.filter(({ uid }) => uid.includes('8c00'));
  expect(duplicates.length).toBeGreaterThan(4);
  const found = groupDuplicates(book.map((card) => duplicateFacts(card)));
  const joined = new Set(found.flatMap(({ uids }) => uids));
  expect(duplicates.filter(({ uid }) => !joined.has(uid)).map(({ name }) => name)).toEqual([]);
});

test('finding can be stopped', () => {
  const facts = generateLargeBook(3000, 5).map((card) => duplicateFacts(card));
  expect(groupDuplicates(facts, { onProgress: () => false })).toEqual([]);
});
