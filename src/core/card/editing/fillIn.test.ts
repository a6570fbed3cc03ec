import { numbered } from '../../../../test/unit/numbered';
import { parseName } from '../name/parseName';
import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { fillIn } from './fillIn';

const base: Card = { ...newCard('a', '2026-01-01T00:00:00Z'), name: parseName('Ada Lowther') ?? {} };

const fillings: {
  name: string;
  filling: Parameters<typeof fillIn>[1];
  expected: (card: Card) => unknown;
  value: unknown;
}[] = [
  {
    name: 'an organisation where there is none',
    filling: { field: 'organisation', value: 'Festival', onlyWhereEmpty: true },
    expected: ({ organizations }) => organizations,
    value: { g1: { name: 'Festival' } },
  },
  {
    name: 'a field of their own, under its name',
    filling: { field: 'own', label: 'Locker', value: '12', onlyWhereEmpty: true },
    expected: (card) => card['cordialis.example:fields'],
    value: { f1: { label: 'Locker', value: '12' } },
  },
  {
    name: 'languages by their names',
    filling: { field: 'languages', value: 'Welsh', onlyWhereEmpty: false },
    expected: ({ preferredLanguages }) => preferredLanguages,
    value: { q1: { language: 'cy' } },
  },
];
for (const { name, filling, expected, value } of fillings) {
  test(`many cards are given ${name}`, () =>
    expect(expected(numbered(fillIn(base, filling)))).toEqual(value));
}

test('filling in leaves a value that is there, unless told to replace it', () => {
  const filled = fillIn(base, { field: 'post', value: 'Tuner', onlyWhereEmpty: true });
  expect(fillIn(filled, { field: 'post', value: 'Usher', onlyWhereEmpty: true })).toBe(filled);
  const replaced = fillIn(filled, { field: 'post', value: 'Usher', onlyWhereEmpty: false });
  expect(Object.values(replaced.titles ?? {})).toEqual([{ kind: 'title', name: 'Usher' }]);
});
