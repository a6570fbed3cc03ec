import { newCard } from '@/core/card';

import { compareImport } from './compareImport';

const now = '2026-01-01T00:00:00Z';
const known = { ...newCard('a', now), name: { full: 'Ada' } };
const find = (uid: string) => (uid === 'a' ? known : undefined);

const cases = [
  { name: 'a new uid is fresh', card: { ...known, uid: 'b' }, group: 'fresh' },
  { name: 'the same card is the same', card: { ...known }, group: 'same' },
  {
    name: 'a later date of writing is no difference',
    card: { ...known, updated: '2026-02-02T00:00:00Z', prodId: 'x' },
    group: 'same',
  },
  { name: 'another name is a difference', card: { ...known, name: { full: 'Ada L.' } }, group: 'different' },
] as const;
for (const { name, card, group } of cases) {
  test(name, () => {
    const intake = compareImport([card], find);
    expect(intake[group]).toEqual([card]);
    expect(intake.fresh.length + intake.same.length + intake.different.length).toBe(1);
  });
}

test('of two cards with one uid the last counts', () => {
  const first = { ...known, uid: 'b' };
  expect(compareImport([first, { ...first, name: { full: 'Bo' } }], find).fresh).toEqual([
    { ...first, name: { full: 'Bo' } },
  ]);
});
