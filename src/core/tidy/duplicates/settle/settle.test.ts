// What the rest of a book and somebody's own mailboxes say about a name. Common practice.
import { type Card, newCard } from '@/core/card';
import { generateLargeBook } from '@/demo/generateLargeBook';

import { makeKnownBook } from '../../../../../test/people/makeBook';
import { mail, phone } from '../../../../../test/people/smallCards';
import { whoAreTogether } from '../../../../../test/people/whoAreTogether';
import { comparePlaces } from '../compare/compareRest';
import { Cultures } from '../facts/cultures';
import { duplicateFacts } from '../facts/facts';
import { Vocabulary } from '../facts/vocabulary';
import { besideKnown, mailboxWords } from './mailboxWords';
import { settleNames } from './settleNames';

let count = 0;
const card = (more: Partial<Card>): Card => ({
  ...newCard(`s${(count += 1)}`, '2026-01-01T00:00:00Z'),
  ...more,
});
const named = (full: string, ...more: Partial<Card>[]) => card(Object.assign({ name: { full } }, ...more));
const fields = (given: string, surname: string, ...more: Partial<Card>[]) =>
  card(
    Object.assign(
      {
        name: {
          components: [
            { kind: 'given', value: given },
            { kind: 'surname', value: surname },
          ],
        },
      },
      ...more,
    ),
  );
/** People with given names and surnames that a book should know as such. */
const known = ['Oona', 'Edda', 'Piers', 'Jory', 'Merle', 'Tamsin'].flatMap((given) =>
  ['Tarrow', 'Quennell', 'Ashlock', 'Fenwright', 'Marlough'].map((surname) => fields(given, surname)),
);
const others = [...known, ...generateLargeBook(600, 3)].map((one) => duplicateFacts(one));
const together = (...cards: readonly Card[]) => whoAreTogether(cards, others);
const vocabulary = new Vocabulary(others);
const settled = (one: Card) => settleNames(duplicateFacts(one), vocabulary).name;

for (const [address, words] of [
  ['ada.lowther63@post.example', ['ada', 'lowther']],
  ['Ada_Lowther@post.example', ['ada', 'lowther']],
  ['adalowther@post.example', ['adalowther']],
  ['ada.lowther+news@post.example', ['ada', 'lowther']],
  ['cornelis.vandermeersel@post.example', ['cornelis', 'meersel']],
  ['info@post.example', []],
] as const)
  test(`the words of ${address}`, () => expect(mailboxWords(address)).toEqual(words));

test('what stands beside a known word, and nothing where there is none or only an initial', () => {
  expect(besideKnown(['ada', 'lowther'], ['ada'])?.rest).toEqual(['lowther']);
  expect(besideKnown(['adalowther'], ['ada'])?.rest).toEqual(['lowther']);
  expect(besideKnown(['karlheinz', 'lowther'], ['karl', 'heinz'])?.rest).toEqual(['lowther']);
  expect(besideKnown(['nightfox'], ['ada'])).toBeUndefined();
  expect(besideKnown(['tdevries'], ['vries'])).toBeUndefined();
});

test('who goes by one word is who the mailbox says', () => {
  const { words } = settled(named('Oona', mail('tarrow.oona@x.example')));
  expect(words.map(({ text }) => text)).toEqual(['oona', 'tarrow']);
});

test('an initial becomes the given name that the mailbox has', () => {
  const { words } = settled(named('E. Tarrow', mail('edda.tarrow@x.example')));
  expect(words.map(({ text }) => text).sort()).toEqual(['edda', 'tarrow']);
});

test('a former surname stands beside the name, a partner’s given name does not', () => {
  const former = settled(fields('Oona', 'Tarrow', mail('oona.quennell@x.example')));
  expect(former.others.map(({ text }) => text)).toEqual(['quennell']);
  expect(settled(fields('Piers', 'Tarrow', mail('oona.tarrow@x.example'))).others).toEqual([]);
  expect(settled(fields('Piers', 'Tarrow', mail('oona.quennell@x.example'))).others).toEqual([]);
});

test('fields that are swapped are put right where the book knows the words, and stay where it doesn’t', () => {
  const roles = (one: Card) => settled(one).words.map(({ text, role }) => `${text} ${role}`);
  expect(roles(fields('Tarrow', 'Oona'))).toEqual(['tarrow surname', 'oona given']);
  expect(roles(fields('Zorvik', 'Ulmet'))).toEqual(['zorvik given', 'ulmet surname']);
});

const same: readonly [what: string, ...cards: Card[]][] = [
  [
    'somebody who has married, by a mailbox with the former name',
    fields('Oona', 'Zellinger', mail('oona.virtmark@x.example'), phone('+44 1632 960001')),
    fields('Oona', 'Virtmark', phone('+44 1632 960001')),
  ],
  [
    'a name that a scanner has misread',
    fields('Bjom', 'Hagvall', phone('+33 1 83 99 30 86-777')),
    fields('Björn', 'Hagvall', phone('+33 1 83 99 30 86-777')),
  ],
  [
    'an extension behind a hyphen, and one that says so',
    fields('Oona', 'Zellinger', phone('+33 1 83 99 30 86-777')),
    fields('O.', 'Zellinger', phone('0033 183993086 ext. 777')),
  ],
  [
    'an initial that is a particle elsewhere',
    fields('E. A.', 'Zellinger', mail('z@x.example')),
    fields('Emma', 'Zellinger', mail('z@x.example')),
  ],
  [
    'the initial of what is a particle elsewhere',
    named('Le Van Hung', phone('+84 91 216 21 22', true)),
    named('V. Lê', phone('091 216 21 22', true)),
  ],
  [
    'a short form of what has been mistyped',
    fields('Bob', 'Zellinger', mail('z@x.example')),
    fields('Robeet', 'Zellinger', mail('z@x.example')),
  ],
  [
    'a name in Chinese characters without a space, and with one',
    named('北山蓮', phone('+81 90 1106 7913', true)),
    named('北山 蓮', phone('+81 90 1106 7913', true)),
  ],
  [
    'a name in Chinese characters that the mailbox spells',
    named('長村 翔太', mail('shota_nagamura@x.example'), phone('+81 3 2603 8330')),
    named('Shōta Nagamura', phone('+81 3 2603 8330')),
  ],
  [
    'a name that sounds otherwise in French',
    named('عائشة الخطيب', mail('z@x.example')),
    named('Aicha El-Khatib', mail('z@x.example')),
  ],
];
for (const [what, ...cards] of same)
  test(`known again: ${what}`, () => expect(together(...cards)).toEqual([cards.map((_, i) => i).join(' ')]));

const different: readonly [what: string, ...cards: Card[]][] = [
  [
    'a couple, one with the other’s mailbox',
    fields('Piers', 'Tarrow', mail('edda.tarrow@x.example'), phone('+44 1632 960001')),
    fields('Edda', 'Tarrow', phone('+44 1632 960001')),
  ],
  [
    'brothers of whom one has the surname in the wrong field',
    fields('Piers', 'Tarrow', phone('+44 1632 960001')),
    fields('Tarrow', 'Jory', phone('+44 1632 960001')),
  ],
  [
    'a successor with a name in Chinese characters',
    named('Milos Lubeoval', phone('+34 915 296 210 ext. 337')),
    named('竹井恵子', phone('+34 915 296 210 ext. 337')),
  ],
  [
    'father and son of one name and number',
    named('John Zellinger Sr', phone('+44 7700 900123')),
    named('John Zellinger Jr', phone('+44 7700 900123')),
  ],
];
for (const [what, ...cards] of different)
  test(`kept apart: ${what}`, () => expect(together(...cards)).toEqual([]));

test('a number that a hyphen divides isn’t cut where it would be too short', () => {
  for (const number of ['+1 206 555-0230', '+49 151-4743540', '+55 11 98765-4321', '030-0813157'])
    expect(duplicateFacts(card(phone(number))).phones[0]?.extension).toBe('');
});

const org = (name: string, street: string, ...more: Partial<Card>[]) =>
  card(
    Object.assign(
      {
        kind: 'org',
        name: { full: name },
        addresses: {
          a: {
            components: [
              { kind: 'name', value: street },
              { kind: 'locality', value: 'Radcombe' },
            ],
          },
        },
      },
      ...more,
    ),
  );

test('two streets of one town are branches, a street with a slip is one', () => {
  const [one, other] = [phone('+44 1632 016686'), phone('+44 1632 271506')];
  expect(
    together(org('Virtmark Printing', 'Quay St 12', one), org('Virtmark Printing', 'High St 7', other)),
  ).toEqual([]);
  expect(
    together(org('Virtmark Printing', 'Quay St 12', one), org('Virtmark Printing', 'Quay Sst 12', one)),
  ).toEqual(['0 1']);
});

test('a slip in one word of an organisation’s name is seen where it is reached alike', () => {
  const number = phone('+39 06 08193601');
  const firm = (full: string) => card(Object.assign({ kind: 'org', name: { full } }, number));
  expect(together(firm('Boneverdi Media S.r.l.'), firm('Boneverdw Media S.r.l.'))).toEqual(['0 1']);
  expect(together(firm('Boneverdi Media S.r.l.'), firm('Kunzmark Optics'))).toEqual([]);
});

test('an address in another script speaks against nobody', () => {
  const at = (road: string, town: string): Partial<Card> => ({
    addresses: {
      a: {
        components: [
          { kind: 'name', value: road },
          { kind: 'locality', value: town },
        ],
      },
    },
  });
  const latin = duplicateFacts(fields('Dima', 'Zhylskyi', at('vul. Shkilna 36', 'Zelenyi Hai')));
  const cyrillic = duplicateFacts(fields('Діма', 'Жилський', at('вул. Шкільна 36', 'Зелений Гай')));
  const elsewhere = duplicateFacts(fields('Dima', 'Zhylskyi', at('High St 2', 'Radcombe')));
  expect(comparePlaces(latin, cyrillic, vocabulary).level).toBe('missing');
  expect(comparePlaces(latin, elsewhere, vocabulary).level).toBe('differ');
});

test('cultures of names are learnt from how words come together', () => {
  // Two cultures of the same size, whose names never meet.
  const names = Array.from({ length: 400 }, (_, i) => [
    `${i % 2 === 0 ? 'a' : 'b'}given${i % 7}`,
    `${i % 2 === 0 ? 'a' : 'b'}sur${i % 11}`,
  ]);
  const cultures = new Cultures(names, (word) => word.includes('given'));
  expect(cultures.together(['agiven1', 'asur3'])).toBeCloseTo(2, 1);
  expect(cultures.together(['agiven1', 'bsur3'])).toBeLessThan(0.1);
  expect(cultures.together(['agiven1'])).toBe(1);
  expect(new Cultures([], () => true).together(['agiven1', 'asur3'])).toBe(1);
});

test('on a book of twenty cultures a name is commoner where few bear its words', () => {
  const { cards } = makeKnownBook(3000, 17);
  const facts = cards.map((one) => duplicateFacts(one));
  const book = new Vocabulary(facts);
  expect(book.together(['maria', 'garcia'])).toBe(6);
  book.learnCultures(facts);
  expect(book.together(['giorgos', 'papadopoulos'])).toBeGreaterThan(book.together(['maria', 'garcia']));
});

test('ten copies of one card are one person', () => {
  const copies = Array.from({ length: 10 }, () =>
    named('Zerlina Virtmark', mail('zerlina@x.example'), phone('+44 7700 900123', true)),
  );
  expect(together(...copies)).toEqual([copies.map((_, i) => i).join(' ')]);
});

test('a copy that another card is kept apart from stays so', () => {
  const reach = [mail('zerlina@x.example'), phone('+44 7700 900123', true)];
  const [first, copy] = [named('Zerlina Virtmark', ...reach), named('Zerlina Virtmark', ...reach)];
  // Only the third card says so, as after a restoration of one of them.
  const apart = { 'cordialis.example:apart': { [copy.uid]: true } } as const;
  const third = named('Zerlina Virtmark', mail('zerlina@x.example'), apart);
  expect(together(first, copy, third).filter((places) => /1.*2/.test(places))).toEqual([]);
});
