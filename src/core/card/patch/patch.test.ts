import fc from 'fast-check';

import { isSameJson } from '@/core/base';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { numbered } from '../../../../test/unit/numbered';
import type { Card } from '../schema/types';
import { applyEdits, setAt } from './applyEdits';
import { diffCards, diffJson } from './diffJson';
import { formatPointer, parsePointer } from './pointer';
import { rebaseJson, uniteJson } from './rebaseJson';

const law = { numRuns: 150, endOnFailure: true };

test('edits lead from one card to the other, and back', () => {
  fc.assert(
    fc.property(arbitraryCard, arbitraryCard, (before, after) => {
      const edits = diffJson(before, after);
      const forward = applyEdits(before, edits);
      const backward = applyEdits(after, edits, 'backward');
      expect([forward.missed, backward.missed]).toEqual([[], []]);
      expect(isSameJson(forward.value, after)).toBe(true);
      expect(isSameJson(backward.value, before)).toBe(true);
    }),
    law,
  );
});

test('edits of collections entry by entry lead there and back as well, and leave alone what others add', () => {
  fc.assert(
    fc.property(arbitraryCard, arbitraryCard, (before, after) => {
      const edits = diffCards(before, after);
      expect(isSameJson(applyEdits(before, edits).value, after)).toBe(true);
      expect(isSameJson(applyEdits(after, edits, 'backward').value, before)).toBe(true);
    }),
    law,
  );
  const edits = diffCards({}, { phones: { p1: { number: '1' } } });
  const both = { phones: { p1: { number: '1' }, p2: { number: '2' } } };
  expect(applyEdits(both, edits, 'backward')).toEqual({
    value: { phones: { p2: { number: '2' } } },
    missed: [],
  });
});

test('a card does not differ from itself', () => {
  fc.assert(
    fc.property(arbitraryCard, (card) => diffJson(card, structuredClone(card)).length === 0),
    law,
  );
});

test('an edit of another entry stays when one is taken back', () => {
  const first = { phones: { p1: { number: '1' }, p2: { number: '2' } } };
  const edits = diffJson(first, { phones: { p1: { number: '10' }, p2: { number: '2' } } });
  const later = { phones: { p1: { number: '10' }, p2: { number: '20' } } };
  expect(applyEdits(later, edits, 'backward')).toEqual({
    value: { phones: { p1: { number: '1' }, p2: { number: '20' } } },
    missed: [],
  });
});

test('an edit whose place has changed since is not made but returned', () => {
  const edits = diffJson({ a: '1' }, { a: '2' });
  expect(applyEdits({ a: '3' }, edits, 'backward')).toEqual({ value: { a: '3' }, missed: edits });
});

test('removing the last entry removes its collection', () => {
  expect(setAt({ phones: { p1: { number: '1' } } }, ['phones', 'p1'], undefined)).toEqual({});
});

test('no path leads to the prototype', () => {
  expect(() => setAt({}, ['__proto__', 'x'], 1)).toThrow(RangeError);
  expect(setAt({}, ['constructor', 'x'], 1)).toEqual({ constructor: { x: 1 } });
});

test('an object with a property called __proto__ comes, changes and goes as one value', () => {
  const [before, after] = ['{"x":{"__proto__":1,"a":2}}', '{"x":{"__proto__":3,"a":2}}'].map(
    (text) => JSON.parse(text) as object,
  );
  const edits = diffJson(before, after);
  expect(edits.map(({ path }) => path)).toEqual([['x']]);
  const there = applyEdits(before ?? {}, edits).value;
  expect(JSON.stringify(there)).toBe(JSON.stringify(after));
  expect(JSON.stringify(applyEdits(there, edits, 'backward').value)).toBe(JSON.stringify(before));
});

test('RFC 6901 §5: a/b and m~n are escaped', () => {
  expect(formatPointer(['a/b', 'm~n', ''])).toBe('a~1b/m~0n/');
  expect(parsePointer('/a~1b/m~0n')).toEqual(['a/b', 'm~n']);
});

const both = [
  {
    name: 'keeps what only they changed',
    base: { a: 1, b: 1 },
    mine: { a: 2, b: 1 },
    theirs: { a: 1, b: 3 },
    rebased: { a: 2, b: 3 },
  },
  {
    name: 'has mine where both changed the same',
    base: { a: 1 },
    mine: { a: 2 },
    theirs: { a: 3 },
    rebased: { a: 2 },
  },
  {
    name: 'keeps what they changed though I removed it, and what I changed though they removed it',
    base: { a: { x: 1 }, b: { x: 1 } },
    mine: { b: { x: 2 } },
    theirs: { a: { x: 2 } },
    rebased: { a: { x: 2 }, b: { x: 2 } },
  },
  {
    name: 'has the entries of a collection that both began, and those added to one that the other removed',
    base: { mails: { e1: { address: 'a' } } },
    mine: { phones: { p1: { number: '1' } } },
    theirs: { phones: { p2: { number: '2' } }, mails: { e1: { address: 'a' }, e2: { address: 'b' } } },
    rebased: { phones: { p1: { number: '1' }, p2: { number: '2' } }, mails: { e2: { address: 'b' } } },
  },
  {
    name: 'keeps an entry whole that they changed and I removed',
    base: { phones: { p1: { number: '1', label: 'x' } } },
    mine: {},
    theirs: { phones: { p1: { number: '2', label: 'x' } } },
    rebased: { phones: { p1: { number: '2', label: 'x' } } },
  },
  {
    name: 'keeps what they added and removed',
    base: { a: 1, b: 1 },
    mine: { a: 1, b: 1, c: 1 },
    theirs: { a: 1, d: 1 },
    rebased: { a: 1, c: 1, d: 1 },
  },
];
for (const { name, base, mine, theirs, rebased } of both) {
  test(`rebaseJson ${name}`, () => expect(rebaseJson<object>(base, mine, theirs)).toEqual(rebased));
}

test('rebaseJson keeps two entries that both sides have added under one id, and what names them', () => {
  const of = (number: string, organisation: string) => ({
    phones: { p1: { number } },
    organizations: { g1: { name: organisation } },
    titles: { [`post${number}`]: { name: `Post at ${organisation}`, organizationId: 'g1' } },
  });
  expect(numbered(rebaseJson<object>({}, of('1', 'Mine'), of('2', 'Theirs')))).toEqual({
    phones: { p1: { number: '2' }, p2: { number: '1' } },
    organizations: { g1: { name: 'Theirs' }, g2: { name: 'Mine' } },
    titles: {
      post1: { name: 'Post at Mine', organizationId: 'g2' },
      post2: { name: 'Post at Theirs', organizationId: 'g1' },
    },
  });
  // The same on both sides is one.
  expect(rebaseJson<object>({}, of('1', 'One'), of('1', 'One'))).toEqual(of('1', 'One'));
});

test('rebaseJson of an unchanged side is the other side', () => {
  fc.assert(
    fc.property(
      arbitraryCard,
      arbitraryCard,
      (a, b) => isSameJson(rebaseJson(a, b, a), b) && isSameJson(rebaseJson(a, a, b), b),
    ),
    { numRuns: 60 },
  );
});

test('uniteJson keeps both of what neither side began with, each entry once however often they are united', () => {
  const mine = { name: { full: 'Mine' }, phones: { p1: { number: '1' }, p2: { number: '3' } } };
  const theirs = { name: { full: 'Theirs' }, phones: { p1: { number: '2' } } };
  const united = uniteJson<object>(theirs, mine);
  expect(united).toMatchObject({
    name: { full: 'Mine' },
    phones: { p1: { number: '2' }, p2: { number: '3' } },
  });
  expect(Object.keys((united as Partial<Card>).phones ?? {})).toHaveLength(3);
  expect(Object.values((united as Partial<Card>).phones ?? {})).toContainEqual({ number: '1' });
  expect(uniteJson<object>(united, mine)).toEqual(united);
});
