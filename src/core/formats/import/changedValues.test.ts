import { type Card, newCard } from '@/core/card';

import { changedValues } from './changedValues';

const card = (more: Partial<Card>): Card => ({ ...newCard('u', '2026-01-01T00:00:00Z'), ...more });

test('the parts in which two versions differ are named once each, without the dates of writing', () => {
  const before = card({ phones: { p1: { number: '1' }, p2: { number: '2' } } });
  const after = {
    ...card({
      phones: { p1: { number: '3' }, p2: { number: '4' } },
      kind: 'org',
      updated: '2026-02-02T00:00:00Z',
    }),
    'cordialis.example:opener': 'x',
  };
  expect(changedValues(before, after)).toEqual(['phone', 'kind', 'opener']);
  expect(changedValues(before, before)).toEqual([]);
});
