import { countOf, pluralOf } from './plural';

test('a number has its noun, in the singular for one, and thousands are set apart', () => {
  const cards = { one: 'card', other: 'cards' };
  expect([0, 1, 2, 11_000].map((count) => countOf(count, cards))).toEqual([
    '0 cards',
    '1 card',
    '2 cards',
    '11,000 cards',
  ]);
});

test('a form that a language does not tell apart falls to the general one', () => {
  expect([0, 1, 2].map((count) => pluralOf(count, { two: 'a pair', other: 'some' }))).toEqual([
    'some',
    'some',
    'some',
  ]);
});
