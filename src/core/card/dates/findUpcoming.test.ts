import fc from 'fast-check';

import type { PartialDate } from '@/core/base';

import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { findUpcoming } from './findUpcoming';

const card = (uid: string, date: PartialDate, kind = 'birth'): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  anniversaries: { d1: { kind, date } },
});
const february29 = card('leap', { year: 2000, month: 2, day: 29 });

const cases = [
  {
    name: 'day 0 and day N both count, nearest first',
    cards: [card('b', { month: 12, day: 2 }), card('a', { year: 1990, month: 11, day: 25 })],
    from: '2026-11-25',
    days: 7,
    expected: [
      { uid: 'a', kind: 'birth', date: '2026-11-25', years: 36, daysAway: 0 },
      { uid: 'b', kind: 'birth', date: '2026-12-02', years: null, daysAway: 7 },
    ],
  },
  {
    name: 'the window goes on across the year’s end',
    cards: [card('a', { year: 2020, month: 1, day: 3 }, 'wedding')],
    from: '2026-12-30',
    days: 10,
    expected: [{ uid: 'a', kind: 'wedding', date: '2027-01-03', years: 7, daysAway: 4 }],
  },
  {
    name: '29 February is kept on 28 February in a year without one',
    cards: [february29],
    from: '2027-02-01',
    days: 28,
    expected: [{ uid: 'leap', kind: 'birth', date: '2027-02-28', years: 27, daysAway: 27 }],
  },
  {
    name: 'a day of birth itself is year 0',
    cards: [card('a', { year: 2026, month: 11, day: 25 })],
    from: '2026-11-25',
    days: 0,
    expected: [{ uid: 'a', kind: 'birth', date: '2026-11-25', years: 0, daysAway: 0 }],
  },
  {
    name: 'a month alone is no day',
    cards: [card('a', { month: 11 }), card('b', { year: 1990 })],
    from: '2026-11-25',
    days: 400,
    expected: [],
  },
  {
    name: 'two years hold a day twice',
    cards: [card('a', { month: 11, day: 26 })],
    from: '2026-11-25',
    days: 400,
    expected: [
      { uid: 'a', kind: 'birth', date: '2026-11-26', years: null, daysAway: 1 },
      { uid: 'a', kind: 'birth', date: '2027-11-26', years: null, daysAway: 366 },
    ],
  },
];
for (const { name, cards, from, days, expected } of cases)
  test(name, () =>
    expect(findUpcoming(cards, { from, days }).map(({ id: _, ...day }) => day)).toEqual(expected),
  );

test('law: going through the window day by day finds the same', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 28 }),
      fc.date({ min: new Date('2000-01-01'), max: new Date('2080-01-01'), noInvalidDate: true }),
      fc.integer({ min: 0, max: 900 }),
      (month, day, start, days) => {
        const first = Math.floor(start.getTime() / 86_400_000);
        const naive = Array.from({ length: days + 1 }, (_, i) => i).filter((i) => {
          const at = new Date((first + i) * 86_400_000);
          return at.getUTCMonth() + 1 === month && at.getUTCDate() === day;
        });
        const from = new Date(first * 86_400_000).toISOString().slice(0, 10);
        const found = findUpcoming([card('a', { month, day })], { from, days });
        expect(found.map(({ daysAway }) => daysAway)).toEqual(naive);
      },
    ),
  );
});
