import { newCard } from './parseCard';
import { ringtoneOf } from './ringtones';
import type { Card } from './schema/types';
import { withSource } from './sources';

const card: Card = newCard('ada', '2026-01-01T00:00:00Z');

test('a card is kept at servers and no longer, and leaves no trace of the last', () => {
  const office = withSource(card, 'Office', true);
  const both = withSource(office, 'Choir', true);
  expect(both['cordialis.example:sources']).toEqual({ Office: true, Choir: true });
  expect(withSource(both, 'Office', false)['cordialis.example:sources']).toEqual({ Choir: true });
  expect(withSource(office, 'Office', false)).toEqual(card);
  expect(withSource(office, 'Office', true)).toBe(office);
});

test.each([
  ['bell', 'bell'],
  ['a tone of a later version', ''],
  [undefined, ''],
])('the tone %s rings as %s', (ring, expected) => {
  expect(ringtoneOf(ring === undefined ? card : { ...card, 'cordialis.example:ring': ring })).toBe(expected);
});
