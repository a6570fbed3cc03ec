// What may not get lost in a merge is common practice; numbers are of ranges kept for fiction (Ofcom).
import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';

import { lostLeaves } from '../../../../test/unit/lostLeaves';
import { mergeCards } from './mergeCards';

const card = (uid: string, more: Partial<Card>): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...more,
});
const merge = (mine: Partial<Card>, theirs: Partial<Card>, country?: string) =>
  mergeCards([card('a', mine), card('b', theirs)], country === undefined ? {} : { country });
const valuesOf = (record: object | undefined) => Object.values(record ?? {}) as Record<string, unknown>[];

test('a friend on one card and a spouse on the other is both', () => {
  const of = (relation: string) => ({ relatedTo: { eve: { relation: { [relation]: true as const } } } });
  expect(merge(of('friend'), of('spouse')).relatedTo?.['eve']?.relation).toEqual({
    friend: true,
    spouse: true,
  });
});

test('one title at two organisations is two titles', () => {
  const at = (name: string) => ({
    organizations: { g1: { name } },
    titles: { t1: { name: 'Director', organizationId: 'g1' } },
  });
  const { organizations = {}, titles } = merge(at('Quay Strings'), at('Salinas Ensemble'));
  expect(
    valuesOf(titles).map((one) => [one['name'], organizations[String(one['organizationId'])]?.name]),
  ).toEqual([
    ['Director', 'Quay Strings'],
    ['Director', 'Salinas Ensemble'],
  ]);
});

test('two units of one organisation are two entries; one that is named on one card only is added', () => {
  const of = (...units: string[]) => ({
    organizations: { g1: { name: 'Quay Strings', units: units.map((name) => ({ name })) } },
  });
  const units = (one: Card) => valuesOf(one.organizations).map((entry) => entry['units']);
  expect(units(merge(of('Sales'), of('Legal')))).toEqual([[{ name: 'Sales' }], [{ name: 'Legal' }]]);
  expect(units(merge(of(), of('Legal', 'North')))).toEqual([[{ name: 'Legal' }, { name: 'North' }]]);
});

test('towns of one name in two countries are two addresses; a country that one card leaves out is added', () => {
  const of = (country?: string) => ({
    addresses: {
      a1: {
        components: [
          { kind: 'locality', value: 'Boston' },
          ...(country === undefined ? [] : [{ kind: 'country', value: country }]),
        ],
      },
    },
  });
  const countries = (one: Card) =>
    valuesOf(one.addresses).map((entry) => (entry['components'] as { value: string }[])[1]?.value);
  expect(countries(merge(of('United Kingdom'), of('United States')))).toEqual([
    'United Kingdom',
    'United States',
  ]);
  expect(countries(merge(of(), of('United States')))).toEqual(['United States']);
});

test('two labelled days on one date are two', () => {
  const of = (label: string) => ({
    anniversaries: { d1: { kind: 'other', date: { month: 5, day: 12 }, label } },
  });
  expect(
    valuesOf(merge(of('Name day'), of('First concert')).anniversaries).map(({ label }) => label),
  ).toEqual(['Name day', 'First concert']);
});

test('of two labels both stay, of one in capitals only one', () => {
  const of = (label: string) => ({ phones: { p1: { number: '+44 20 7946 0123', label } } });
  const labels = (one: Card) => valuesOf(one.phones).map(({ label }) => label);
  expect(labels(merge(of('desk'), of('front office')))).toEqual(['desk / front office']);
  expect(labels(merge(of('Desk'), of('DESK')))).toEqual(['Desk']);
});

test('marks tell words apart in scripts where they make other letters, and not where they are left out at will', () => {
  const of = (name: string) => ({ nicknames: { n1: { name } } });
  const names = (a: string, b: string) => valuesOf(merge(of(a), of(b)).nicknames).map(({ name }) => name);
  for (const [a, b] of [
    ['パパ', 'ババ'],
    ['राम', 'रमा'],
    ['กา', 'ก่า'],
  ] as const)
    expect(names(a, b)).toEqual([a, b]);
  for (const [a, b] of [
    ['Zoe', 'Zoë'],
    ['Νικος', 'Νίκος'],
    ['שלום', 'שָׁלוֹם'],
  ] as const)
    expect(names(a, b)).toEqual([b]);
});

test('a number is the same by the other one’s country, or by that of an address', () => {
  const of = (number: string, countryCode?: string) => ({
    phones: { p1: { number } },
    ...(countryCode === undefined ? {} : { addresses: { a1: { countryCode, full: '5 Quay' } } }),
  });
  const numbers = (one: Card) => valuesOf(one.phones).map(({ number }) => number);
  expect(numbers(merge(of('020 7946 0123'), of('+44 20 7946 0123'), 'US'))).toEqual(['+44 20 7946 0123']);
  expect(numbers(merge(of('(020) 7946-0123'), of('20 7946 0123', 'GB')))).toHaveLength(1);
  expect(numbers(merge(of('020 7946 0123'), of('+49 30 123456'), 'DE'))).toHaveLength(2);
  expect(numbers(merge(of('020 7946 0123'), of('020 7946 0123 ext. 5'), 'GB'))).toHaveLength(2);
});

test('the path of a link minds capitals, its host and scheme don’t', () => {
  const of = (uri: string) => ({ links: { l1: { uri } } });
  const links = (a: string, b: string) => valuesOf(merge(of(a), of(b)).links).map(({ uri }) => uri);
  expect(links('https://quay.example/Abc', 'https://quay.example/abc')).toHaveLength(2);
  expect(links('http://Quay.example:80', 'https://quay.example/')).toHaveLength(1);
});

const [label, contexts] = [
  fc.option(fc.constantFrom('desk', 'Desk', 'front office', 'パパ', 'ババ'), { nil: undefined }),
  fc.option(fc.constantFrom({ work: true }, { private: true }), { nil: undefined }),
];
const some = (entry: fc.Arbitrary<object>) =>
  fc
    .array(entry, { maxLength: 3 })
    .map((all) =>
      Object.fromEntries(all.map((one, i) => [`x${i + 1}`, JSON.parse(JSON.stringify(one)) as object])),
    );
const maybe = <T>(...values: T[]) => fc.option(fc.constantFrom(...values), { nil: undefined });
const pref = maybe(1, 2);
/** Cards that have much in common: few values, each in several writings, and much that may be said beside them. */
const alike = fc
  .record({
    phones: some(
      fc.record({
        number: fc.constantFrom(
          '+442079460123',
          '020 7946 0123',
          '+44 20 7946 0123',
          '020 7946 0123 ext. 5',
          '+49 20 79460123',
        ),
        ...{ label, contexts, pref, features: maybe({ mobile: true }, { fax: true }) },
        vCardParams: maybe({ 'x-a': '1' }, { 'x-a': '2' }),
      }),
    ),
    emails: some(
      fc.record({ address: fc.constantFrom('a@x.example', 'A@X.example', 'b@x.example'), label, contexts }),
    ),
    organizations: some(
      fc.record({
        name: fc.constantFrom('Quay Strings', 'Quay Strings Ltd', 'QUAY STRINGS', 'Strings'),
        units: maybe(
          [{ name: 'Sales' }],
          [{ name: 'Legal' }],
          [{ name: 'Sales' }, { name: 'North', sortAs: 'N' }],
        ),
        ...{ sortAs: maybe('Quay', 'Strings'), contexts },
      }),
    ),
    titles: some(
      fc.record({
        name: fc.constantFrom('Director', 'director', 'Viola'),
        kind: maybe('title', 'role'),
        organizationId: maybe('x1', 'x2'),
      }),
    ),
    nicknames: some(fc.record({ name: fc.constantFrom('Zoe', 'Zoë', 'パパ', 'ババ'), contexts, label })),
    addresses: some(
      fc.record({
        components: maybe(
          [
            { kind: 'name', value: 'Quay' },
            { kind: 'number', value: '5' },
          ],
          [
            { kind: 'number', value: '5' },
            { kind: 'name', value: 'Quay' },
          ],
          [
            { kind: 'number', value: '5', phonetic: 'five' },
            { kind: 'name', value: 'Quay' },
            { kind: 'country', value: 'France' },
          ],
          [{ kind: 'locality', value: 'Boston' }],
        ),
        full: maybe('5 Quay', '5 QUAY\nFrance', 'Boston'),
        countryCode: maybe('GB', 'US', 'FR'),
        ...{ label, contexts, timeZone: maybe('Europe/London', 'Europe/Paris') },
      }),
    ),
    anniversaries: some(
      fc.record({
        kind: fc.constantFrom('birth', 'wedding', 'other'),
        date: fc.constantFrom<object>(
          { month: 5, day: 12 },
          { year: 1985, month: 5, day: 12 },
          { year: 1985 },
          { year: 1986, month: 5, day: 12 },
        ),
        ...{ label, place: maybe({ full: 'Oslo' }, { full: 'Bergen' }) },
      }),
    ),
    onlineServices: some(
      fc.record({
        service: maybe('Pier', 'pier', 'Mole'),
        user: fc.constantFrom('zora', 'Zora', 'z'),
        uri: maybe('https://pier.example/zora'),
      }),
    ),
    personalInfo: some(
      fc.record({
        kind: fc.constantFrom('hobby', 'expertise'),
        value: fc.constantFrom('Chess', 'chess'),
        level: maybe('high', 'low'),
      }),
    ),
    links: some(
      fc.record({
        uri: fc.constantFrom('https://quay.example', 'http://quay.example/', 'https://quay.example/A'),
        label,
      }),
    ),
    notes: some(
      fc.record({
        note: fc.constantFrom('Sings alto', 'sings  alto', 'Sings bass'),
        author: maybe({ name: 'Bo' }, { name: 'Cy' }),
      }),
    ),
    relatedTo: fc.dictionary(
      fc.constantFrom('eve', 'max'),
      fc.record({ relation: fc.constantFrom({ friend: true }, { spouse: true }, {}) }),
    ),
    name: maybe<object>(
      { full: 'Ada Lowther' },
      { full: 'ADA LOWTHER', sortAs: { surname: 'Lowther' } },
      {
        components: [
          { kind: 'given', value: 'Ada', phonetic: 'ay-da' },
          { kind: 'surname', value: 'Lowther' },
        ],
      },
      {
        components: [
          { kind: 'title', value: 'Dr' },
          { kind: 'given', value: 'Ada' },
          { kind: 'surname', value: 'Lowther' },
          { kind: 'credential', value: 'PhD' },
        ],
      },
      { full: 'パパ' },
      { full: 'ババ' },
    ),
    speakToAs: maybe<object>(
      { grammaticalGender: 'feminine' },
      { pronouns: { k1: { pronouns: 'she/her' } } },
      { pronouns: { k1: { pronouns: 'they/them', contexts: { work: true } } } },
    ),
    'cordialis.example:fields': some(
      fc.record({ label: fc.constantFrom('Shoe size', 'shoe size'), value: fc.constantFrom('42', '43') }),
    ),
  })
  .map((shape) => JSON.parse(JSON.stringify(shape)) as Partial<Card>);

test('law: of cards that say almost the same nothing is lost, whichever comes first and whatever is chosen', () => {
  fc.assert(
    fc.property(fc.array(alike, { minLength: 2, maxLength: 4 }), fc.nat(3), (shapes, at) => {
      const [first, ...others] = shapes.map((one, i) => card(`card ${i}`, one));
      if (!first) return;
      const chosen = [first, ...others][at % shapes.length]?.uid ?? '';
      const merged = mergeCards([first, ...others], {
        ...{ country: 'GB', name: chosen, birthday: chosen, singles: { speakToAs: chosen } },
      });
      expect([first, ...others].flatMap((one) => lostLeaves(one, merged))).toEqual([]);
      // Merged once more with one of them, it says no more.
      const again = mergeCards([merged, { ...first, uid: 'once more' }], { country: 'GB', name: merged.uid });
      for (const key of ['phones', 'emails', 'nicknames', 'links', 'relatedTo'] as const)
        expect(valuesOf(again[key])).toEqual(valuesOf(merged[key]));
    }),
    { numRuns: 500 },
  );
});
