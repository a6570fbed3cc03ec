import { newCard } from '../parseCard';
import { preferEntry, preferredEntry } from '../preferEntry';
import type { Card, Phone } from '../schema/types';
import { nextAnniversary } from './nextAnniversary';

// Day counts by hand from the lengths of months; leap years by the Gregorian rule (2024, 2028; not 2100).
const cases = [
  {
    name: 'today counts as the day',
    date: { month: 11, day: 24 },
    today: '2026-11-24',
    expected: { day: '2026-11-24', daysAway: 0 },
  },
  {
    name: 'goes over the year’s end',
    date: { year: 2000, month: 1, day: 1 },
    today: '2026-12-31',
    expected: { day: '2027-01-01', daysAway: 1, years: 27 },
  },
  {
    name: 'yesterday is a year away',
    date: { month: 11, day: 23 },
    today: '2026-11-24',
    expected: { day: '2027-11-23', daysAway: 364 },
  },
  {
    name: 'yesterday is 365 days away over a leap day',
    date: { month: 11, day: 23 },
    today: '2027-11-24',
    expected: { day: '2028-11-23', daysAway: 365 },
  },
  {
    name: '29 February is kept on the 28th',
    date: { year: 2004, month: 2, day: 29 },
    today: '2027-02-01',
    expected: { day: '2027-02-28', daysAway: 27, years: 23 },
  },
  {
    name: '29 February is itself in a leap year',
    date: { year: 2004, month: 2, day: 29 },
    today: '2028-02-28',
    expected: { day: '2028-02-29', daysAway: 1, years: 24 },
  },
  {
    name: 'the first day of all has no years',
    date: { year: 2026, month: 12, day: 1 },
    today: '2026-11-24',
    expected: { day: '2026-12-01', daysAway: 7 },
  },
  {
    name: 'a day before the year of birth is not one',
    date: { year: 2027, month: 1, day: 5 },
    today: '2026-01-01',
    expected: { day: '2027-01-05', daysAway: 369 },
  },
];
for (const { name, date, today, expected } of cases)
  test(`nextAnniversary: ${name}`, () => expect(nextAnniversary(date, today)).toEqual(expected));

test('nextAnniversary keeps 29 February on 1 March where that is the rule, also in 2100', () => {
  expect(nextAnniversary({ month: 2, day: 29 }, '2100-02-28', 'march-1')).toEqual({
    day: '2100-03-01',
    daysAway: 1,
  });
});

test('nextAnniversary gives nothing for a date without a day', () => {
  expect(nextAnniversary({ year: 1968 }, '2026-11-24')).toBeUndefined();
  expect(nextAnniversary({ year: 1968, month: 2 }, '2026-11-24')).toBeUndefined();
});

const card: Card = {
  ...newCard('u', '2026-01-01T00:00:00Z'),
  phones: { p1: { number: '1', pref: 1 }, p2: { number: '2' }, p3: { number: '3', pref: 5 } },
};

test('preferEntry makes one entry the preferred one and leaves other ranks', () => {
  expect(preferEntry(card, 'phones', 'p2').phones).toEqual({
    p1: { number: '1' },
    p2: { number: '2', pref: 1 },
    p3: { number: '3', pref: 5 },
  });
  expect(preferEntry(card, 'phones', 'p9')).toBe(card);
  expect(preferEntry(card, 'emails', 'e1')).toBe(card);
});

test('preferredEntry takes the lowest pref, else the first', () => {
  expect(preferredEntry(card.phones)?.number).toBe('1');
  expect(preferredEntry<Phone>({ a: { number: '1' }, b: { number: '2' } })?.number).toBe('1');
  expect(preferredEntry(card.phones, ({ pref }) => pref !== 1)?.number).toBe('3');
  expect(preferredEntry({})).toBeUndefined();
});
