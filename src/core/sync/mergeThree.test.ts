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

const NATIONAL = {
  p1: { number: '020 7946 0123', contexts: { work: true } },
  p2: { number: '07700 900456', features: { mobile: true } },
} as const;

for (const country of [undefined, 'GB', 'DE', 'US'])
  test(`a number rewritten as at home is no change, in a book of ${country ?? 'no country'}`, () => {
    const options = country === undefined ? {} : { country };
    const rewritten: Card = { ...BASE, phones: NATIONAL };
    // Neither against a real change nor against a deletion, on either side.
    const changed: Card = { ...BASE, phones: { ...PHONES, p1: { number: '+44 20 7946 0999' } } };
    const { p2: _, ...without } = PHONES;
    const deleted: Card = { ...BASE, phones: without };
    for (const [mine, theirs] of [
      [rewritten, changed],
      [changed, rewritten],
    ] as const) {
      const { card, conflicts } = mergeThree(BASE, mine, theirs, options);
      expect(conflicts).toEqual([]);
      expect(card.phones?.['p1']?.number).toBe('+44 20 7946 0999');
    }
    for (const [mine, theirs] of [
      [rewritten, deleted],
      [deleted, rewritten],
    ] as const) {
      const { card, conflicts } = mergeThree(BASE, mine, theirs, options);
      expect([conflicts, Object.keys(card.phones ?? {})]).toEqual([[], ['p1']]);
    }
    // Without ids, as a file numbers its lines, and added by both in two forms.
    const added: Card = { ...BASE, phones: { ...PHONES, p3: { number: '+44 7700 900789' } } };
    const addedAtHome: Card = {
      ...BASE,
      phones: { x1: { number: '07700 900789' }, x2: NATIONAL.p2, x3: NATIONAL.p1 },
    };
    expect(numbers(mergeThree(BASE, added, addedAtHome, options).card)).toHaveLength(3);
  });

test('labels that differ in capitals only are no conflict', () => {
  const labelled = (label: string): Card => ({
    ...BASE,
    emails: { e1: { address: 'ada@example.org', label } },
  });
  const { card, conflicts } = merge(labelled('Choir'), labelled('choir'));
  expect([card.emails?.['e1']?.label, conflicts]).toEqual(['Choir', []]);
});

test('what people on both sides have written another way is a change; what programs have is none', () => {
  const respaced: Card = {
    ...BASE,
    emails: { e1: { address: 'Ada@Example.org' } },
    notes: { o1: { note: 'Sings alto.\n\nBrings cake.' } },
  };
  expect(mergeThree(BASE, BASE, respaced).card).toMatchObject({ emails: EMAILS, notes: BASE.notes });
  for (const merged of [
    mergeThree(BASE, BASE, respaced, { isWritten: true }),
    mergeThree(BASE, respaced, BASE, { isWritten: true }),
  ])
    expect(merged.card).toMatchObject({ emails: respaced.emails, notes: respaced.notes });
});

const noted = (note: string): Card => ({ ...BASE, notes: { o1: { note } } });
const noteOf = ({ notes = {} }: Card) => notes['o1']?.note;
const POEM = ['Sings alto.', 'Brings cake.', 'Lives by the quay.', 'Has a boat.', 'Calls on Sundays.'];

test('notes that both have edited in different lines are merged; in the same line it is to settle', () => {
  const base = noted(POEM.join('\n'));
  const mine = noted(['Sings tenor.', ...POEM.slice(1)].join('\n'));
  const theirs = noted([...POEM, 'Plays chess.'].join('\r\n'));
  const { card, conflicts } = mergeThree(base, mine, theirs);
  expect([noteOf(card), conflicts]).toEqual([
    ['Sings tenor.', ...POEM.slice(1), 'Plays chess.'].join('\n'),
    [],
  ]);
  const other = noted(['Sings bass.', ...POEM.slice(1)].join('\n'));
  const both = mergeThree(base, mine, other);
  expect([noteOf(both.card), both.conflicts.map(({ path }) => path)]).toEqual([
    noteOf(mine),
    ['notes/o1/note'],
  ]);
});

test('law: of notes merged by lines every line that a side has added is there, and none that one has taken out', () => {
  const line = fc.constantFrom('a', 'b', 'c', 'd', '', 'e f');
  /** One side's edits of a part of the text that the other leaves alone. */
  const edit = fc.array(line, { maxLength: 4 });
  fc.assert(
    fc.property(
      edit,
      edit,
      edit,
      edit,
      fc.array(line, { minLength: 2, maxLength: 4 }),
      (head, tail, first, last, middle) => {
        const text = (...parts: readonly (readonly string[])[]) => noted(parts.flat().join('\n'));
        const [start, end] = [['the first line'], ['the last line']];
        const base = text(head, start, middle, end, tail);
        const mine = text(first, start, middle, end, tail);
        const theirs = text(head, start, middle, end, last);
        const { card, conflicts } = mergeThree(base, mine, theirs);
        expect([noteOf(card)?.replace(/\s+/g, ' ').trim(), conflicts]).toEqual([
          noteOf(text(first, start, middle, end, last))
            ?.replace(/\s+/g, ' ')
            .trim(),
          [],
        ]);
      },
    ),
  );
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
