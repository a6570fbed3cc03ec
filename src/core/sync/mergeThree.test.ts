import fc from 'fast-check';

import { type Card, newCard, parseName, type Phone } from '@/core/card';

import { numbered } from '../../../test/unit/numbered';
import { mergeThree } from './mergeThree';

const BASE: Card = {
  ...newCard('x', '2026-01-01T00:00:00Z'),
  name: {
    components: [
      { kind: 'given', value: 'Ada' },
      { kind: 'surname', value: 'Lowther' },
    ],
    isOrdered: true,
  },
  phones: {
    p1: { number: '+44 20 7946 0123', contexts: { work: true } },
    p2: { number: '+447700900456', features: { mobile: true } },
  },
  emails: { e1: { address: 'ada@example.org' } },
  keywords: { choir: true, patron: true },
  notes: { o1: { note: 'Sings alto.\nBrings cake.' } },
};
const PHONES = BASE.phones ?? {};
const EMAILS = BASE.emails ?? {};
const numbers = ({ phones = {} }: Card) =>
  Object.values(phones)
    .map(({ number }) => number)
    .toSorted();
const merge = (mine: Card, theirs: Card, base = BASE) => mergeThree(base, mine, theirs, { country: 'GB' });

const cases: readonly {
  name: string;
  mine: Card;
  theirs: Card;
  expected: Partial<Card>;
  conflicts?: readonly string[];
}[] = [
  {
    name: 'two sides that change different entries are both heard',
    mine: { ...BASE, emails: { e1: { address: 'ada@new.example' } } },
    theirs: { ...BASE, keywords: { choir: true, patron: true, press: true } },
    expected: {
      emails: { e1: { address: 'ada@new.example' } },
      keywords: { choir: true, patron: true, press: true },
    },
  },
  {
    name: 'two sides that change different properties of one entry are both heard',
    mine: { ...BASE, emails: { e1: { address: 'ada@example.org', label: 'choir' } } },
    theirs: { ...BASE, emails: { e1: { address: 'ada@new.example' } } },
    expected: { emails: { e1: { address: 'ada@new.example', label: 'choir' } } },
  },
  {
    name: 'a number that was only written otherwise is as it was',
    mine: BASE,
    theirs: {
      ...BASE,
      phones: {
        p7: { number: '07700 900456', features: { mobile: true } },
        p9: { number: '020 7946 0123', contexts: { work: true } },
      },
    },
    expected: { phones: PHONES },
  },
  {
    name: 'other line ends, white space and capitals of a mail address are no change',
    mine: { ...BASE, notes: { o1: { note: 'Sings tenor.' } } },
    theirs: {
      ...BASE,
      notes: { o1: { note: 'Sings alto.\r\nBrings  cake. ' } },
      emails: { e1: { address: 'ADA@Example.org' } },
    },
    expected: { notes: { o1: { note: 'Sings tenor.' } }, emails: EMAILS },
  },
  {
    name: 'what one side takes off goes, if the other has left it alone',
    mine: { ...BASE, phones: { p2: BASE.phones?.['p2'] as Phone } },
    theirs: { ...BASE, keywords: { choir: true } },
    expected: { phones: { p2: BASE.phones?.['p2'] as Phone }, keywords: { choir: true } },
  },
  {
    name: 'an edit is not lost to a deletion',
    mine: { ...BASE, emails: {} },
    theirs: { ...BASE, emails: { e1: { address: 'ada@new.example' } } },
    expected: { emails: { e1: { address: 'ada@new.example' } } },
  },
  {
    name: 'the same number added by both is one',
    mine: { ...BASE, phones: { ...BASE.phones, p3: { number: '+442079460999' } } },
    theirs: { ...BASE, phones: { ...BASE.phones, p5: { number: '020 7946 0999', label: 'desk' } } },
    expected: { phones: { ...BASE.phones, p3: { number: '+442079460999', label: 'desk' } } },
  },
  {
    name: 'two numbers added under one id are two',
    mine: { ...BASE, phones: { ...BASE.phones, p3: { number: '+442079460998' } } },
    theirs: { ...BASE, phones: { ...BASE.phones, p3: { number: '+442079460999' } } },
    expected: {
      phones: { ...BASE.phones, p3: { number: '+442079460998' }, p4: { number: '+442079460999' } },
    },
  },
  {
    name: 'the given name here and the surname there',
    mine: {
      ...BASE,
      name: {
        components: [
          { kind: 'given', value: 'Adah' },
          { kind: 'surname', value: 'Lowther' },
        ],
        isOrdered: true,
      },
    },
    theirs: {
      ...BASE,
      name: {
        components: [
          { kind: 'given', value: 'Ada' },
          { kind: 'given2', value: 'M.' },
          { kind: 'surname', value: 'Lowther-Ek' },
        ],
        isOrdered: true,
      },
    },
    expected: {
      name: {
        components: [
          { kind: 'given', value: 'Adah' },
          { kind: 'given2', value: 'M.' },
          { kind: 'surname', value: 'Lowther-Ek' },
        ],
        isOrdered: true,
      },
    },
  },
  {
    name: 'one value changed to two others is to settle, and mine stands meanwhile',
    mine: { ...BASE, emails: { e1: { address: 'mine@example.org' } } },
    theirs: { ...BASE, emails: { e1: { address: 'theirs@example.org' } } },
    expected: { emails: { e1: { address: 'mine@example.org' } } },
    conflicts: ['emails/e1/address'],
  },
];
for (const { name, mine, theirs, expected, conflicts = [] } of cases)
  test(name, () => {
    const merged = merge(mine, theirs);
    const card = numbered(merged.card);
    expect(card).toMatchObject(expected);
    for (const [key, value] of Object.entries(expected)) expect(card[key as keyof Card]).toEqual(value);
    expect(merged.conflicts.map(({ path }) => path)).toEqual(conflicts);
  });

test('a title follows its organisation to the id that it gets', () => {
  const base: Card = { ...BASE, organizations: { g1: { name: 'Blue' } } };
  const mine: Card = { ...base, organizations: { g1: { name: 'Blue' }, g2: { name: 'Red' } } };
  const theirs: Card = {
    ...base,
    organizations: { g1: { name: 'Blue' }, g2: { name: 'Green' } },
    titles: { t1: { name: 'Director', organizationId: 'g2' } },
  };
  const { card } = merge(mine, theirs, base);
  const house = card.titles?.['t1']?.organizationId ?? '';
  expect(card.organizations?.[house]?.name).toBe('Green');
});

const number = fc.constantFrom(
  '+442079460001',
  '+442079460002',
  '020 7946 0003',
  '+493012345678',
  '+33199001234',
);
const entries = <T>(value: fc.Arbitrary<T>, prefix: string) =>
  fc.dictionary(
    fc.integer({ min: 1, max: 4 }).map((n) => `${prefix}${n}`),
    value,
    { maxKeys: 4 },
  );
const cards: fc.Arbitrary<Card> = fc
  .record({
    phones: entries(fc.record({ number, label: fc.constantFrom('', 'a', 'b') }), 'p'),
    emails: entries(
      fc.record({ address: fc.constantFrom('a@x.example', 'b@x.example', 'c@x.example') }),
      'e',
    ),
    keywords: fc.dictionary(fc.constantFrom('choir', 'press', 'patron'), fc.constant(true as const)),
    given: fc.constantFrom('Ada', 'Bo', 'Cy'),
    surname: fc.constantFrom('Ek', 'Lund'),
  })
  .map(({ given, surname, ...rest }) => ({
    ...newCard('x', '2026-01-01T00:00:00Z'),
    ...{ name: parseName(`${given} ${surname}`) ?? {}, ...rest },
  })) as fc.Arbitrary<Card>;
const said = ({ phones = {}, emails = {}, keywords = {}, name }: Card) =>
  [
    ...Object.values(phones).map((one) => `${one.number.replace(/\D/g, '').slice(-8)} ${one.label ?? ''}`),
    ...Object.values(emails).map(({ address }) => address),
    ...Object.keys(keywords),
    ...(name?.components ?? []).map(({ value }) => value),
  ].toSorted();

test('one side that has changed nothing gives the other side as it is', () => {
  fc.assert(
    fc.property(cards, cards, (base, changed) => {
      for (const one of [
        merge(changed, base, base),
        merge(base, changed, base),
        merge(changed, changed, base),
      ]) {
        expect(one.conflicts).toEqual([]);
        expect(said(one.card)).toEqual(said(changed));
      }
    }),
  );
});

test('nothing that either side has added or edited is lost: it is there, or it is to settle', () => {
  const digits = (text: string) => text.replace(/\D/g, '').slice(-8);
  fc.assert(
    fc.property(cards, cards, cards, (base, mine, theirs) => {
      const { card, conflicts } = merge(mine, theirs, base);
      const there = new Set([...numbers(card), ...conflicts.map((one) => String(one.theirs))].map(digits));
      const known = new Set(numbers(base).map(digits));
      for (const side of [mine, theirs])
        for (const one of numbers(side)) if (!known.has(digits(one))) expect(there).toContain(digits(one));
      for (const keyword of Object.keys({ ...mine.keywords, ...theirs.keywords }))
        if (base.keywords?.[keyword] === undefined) expect(card.keywords).toHaveProperty(keyword);
    }),
    { numRuns: 500 },
  );
});
