// Whoever is easily taken for another, and whoever is easily not known again. Common practice.
import { type Card, newCard } from '@/core/card';
import { generateLargeBook } from '@/demo/generateLargeBook';

import { born, mail, phone } from '../../../../test/people/smallCards';
import { whoAreTogether } from '../../../../test/people/whoAreTogether';
import { duplicateFacts } from './facts/facts';
import { readName } from './facts/nameWords';
import { Vocabulary } from './facts/vocabulary';
import { groupDuplicates } from './groupDuplicates';

let count = 0;
const card = (more: Partial<Card>): Card => ({
  ...newCard(`p${(count += 1)}`, '2026-01-01T00:00:00Z'),
  ...more,
});
const named = (full: string, more: Partial<Card> = {}) => card({ name: { full }, ...more });
const given = (value: string) => card({ name: { components: [{ kind: 'given', value }] } });
const others = generateLargeBook(600, 3).map((one) => duplicateFacts(one));
/** Which of some cards are put together, in a book of others, by their places. */
const together = (...cards: readonly Card[]) => whoAreTogether(cards, others);

const words = (one: Card) => readName(one).words.map(({ text }) => text);
for (const [what, one, read] of [
  ['in one field', given('Oona Tarrow'), ['oona', 'tarrow']],
  ['with a comma', named('Tarrow, Oona'), ['oona', 'tarrow']],
  ['in capitals with a degree', named('DR. OONA TARROW'), ['oona', 'tarrow']],
  ['with an article', named('Omar El-Khatib'), ['omar', 'khatib']],
  ['with the article of Arabic', named('عمر الخطيب'), ['mr', 'khtyb']],
  ['in Han without a space', named('王建国'), ['jianguo', 'wang']],
  ['in Greek as it sounds', named('Ευάγγελος Παπαδόπουλος'), ['evangelos', 'papadopoulos']],
  ['that is a mail address', named('oona.tarrow@x.example'), []],
  ['that is a handle', named('nightfox42'), []],
] as const)
  test(`a name ${what} is read`, () => expect(words(one).sort()).toEqual([...read].sort()));

const same: readonly [what: string, ...cards: Card[]][] = [
  [
    'a name in one field',
    { ...given('Oona Tarrow'), ...mail('o@x.example') },
    named('Oona Tarrow', mail('o@x.example')),
  ],
  [
    'only a mail address',
    card(mail('oona.tarrow@x.example')),
    named('Oona Tarrow', mail('oona.tarrow@x.example')),
  ],
  [
    'a pet form no table has',
    named('Oonie Tarrow', phone('+447700900123', true)),
    named('Oona Tarrow', phone('+447700900123', true)),
  ],
  [
    'another script',
    named('Γιώργος Βλάχος', mail('g@x.example')),
    named('Yiorgos Vlahos', mail('g@x.example')),
  ],
  [
    'Arabic without vowels',
    named('محمد حسين', phone('+201001234567', true)),
    named('Mohamed Hussein', phone('+201001234567', true)),
  ],
  [
    'a Korean name in two spellings',
    named('Lee Taewoo', phone('+821012345678', true)),
    named('이태우', phone('+821012345678', true)),
  ],
  [
    'an initial for a short form',
    named('W. Tarrow', mail('w@x.example')),
    named('Bill Tarrow', mail('w@x.example')),
  ],
  [
    'a firm that does not say it is one',
    card({ organizations: { o: { name: 'Quay Strings Ltd' } }, ...mail('info@quay.example') }),
    card({ kind: 'org', name: { full: 'Quay Strings' }, ...mail('office@quay.example') }),
  ],
];
for (const [what, ...cards] of same)
  test(`known again: ${what}`, () => expect(together(...cards)).toEqual(['0 1']));

const HOME = phone('+441632960001');
const different: readonly [what: string, ...cards: Card[]][] = [
  [
    'twins',
    named('Oona Tarrow', { ...HOME, ...born(1970, 2, 3) }),
    named('Edda Tarrow', { ...HOME, ...born(1970, 2, 3) }),
  ],
  [
    'father and son',
    named('John Tarrow Sr', { ...HOME, ...born(1940, 1, 1) }),
    named('John Tarrow Jr', HOME),
  ],
  [
    'a couple with one mailbox',
    named('Oona Tarrow', mail('tarrows@x.example')),
    named('Piers Tarrow', mail('tarrows@x.example')),
  ],
  [
    'successors at a desk',
    named('Oona Tarrow', mail('sales@hall.example')),
    named('Jory Quennell', mail('sales@hall.example')),
  ],
  [
    'namesakes born on other days',
    named('Oona Tarrow', born(1970, 2, 3)),
    named('Oona Tarrow', born(1981, 9, 30)),
  ],
  [
    'a number that somebody else has now',
    named('Oona Tarrow', phone('+447700900123', true)),
    named('Jory Quennell', phone('+447700900123', true)),
  ],
];
for (const [what, ...cards] of different)
  test(`kept apart: ${what}`, () => expect(together(...cards)).toEqual([]));

test('a stub joins by what the others have together', () => {
  const whole = named('Oona Tarrow', { ...phone('+447700900123', true), ...mail('oona.tarrow@x.example') });
  const more = named('Tarrow, Oona', { ...mail('oona.tarrow@x.example'), ...born(1970, 2, 3) });
  expect(together(whole, more, named('Oona', phone('07700 900123', true)))).toEqual(['0 1 2']);
});

test('a contradiction keeps two people apart who share a third card', () => {
  const desk = mail('tarrow@x.example');
  const [a, b] = [
    named('John Tarrow Sr', { ...desk, ...born(1940, 1, 1) }),
    named('John Tarrow Jr', { ...desk, ...born(1971, 4, 4) }),
  ];
  expect(
    together(a, b, named('John Tarrow', desk)).every(
      (places) => !(places.includes('0') && places.includes('1')),
    ),
  ).toBe(true);
});

test('a year that is a slip of another is no contradiction, and what differs never speaks for one person', () => {
  const of = (year: number) => named('Oona Tarrow', { ...mail('oona@x.example'), ...born(year, 2, 3) });
  expect(together(of(1975), of(1957))).toEqual(['0 1']);
  expect(together(of(1975), of(1958))).toEqual([]);
  const cards = [of(1975), of(1957)].map((one, i) =>
    duplicateFacts({ ...one, ...phone(i === 0 ? '+442079460123' : '+447700900999', true) }),
  );
  const [found] = groupDuplicates([...cards, ...others]).filter(({ uids }) =>
    uids.includes(cards[0]?.uid ?? ''),
  );
  for (const { words: said, bits } of found?.evidence ?? [])
    if (/^different|years/.test(said)) expect(bits).toBeLessThan(0);
  expect(found?.evidence.map(({ words: said }) => said)).toContain('different numbers');
});

test('a national number is of the country that is said', () => {
  const [a, b] = [named('Oona', phone('020 7946 0123')), named('Oona', phone('+44 20 7946 0123'))];
  expect(duplicateFacts(a, 'GB').phones[0]?.number).toBe(duplicateFacts(b).phones[0]?.number);
});

test('a card that was counted and taken out again leaves the counts as they were', () => {
  const facts = generateLargeBook(40, 9).map((one) => duplicateFacts(one));
  const [first, ...rest] = facts;
  const [all, some] = [new Vocabulary(facts), new Vocabulary(rest)];
  if (first) all.remove(first);
  expect(all).toEqual(some);
});
