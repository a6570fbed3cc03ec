import fc from 'fast-check';

import { dayNumberOf, formatDayNumber, parseDayNumber, yearOfDay } from './dayNumber';

// Checked against ECMAScript's own calendar (ECMA-262, time values), which is the proleptic Gregorian one.
const viaDate = (day: string) => Date.parse(`${day}T00:00:00Z`) / 86_400_000;

test('every day of 1600 to 2400 has the number that the calendar of the platform gives it, and back', () => {
  const first = viaDate('1600-01-01');
  const last = viaDate('2400-12-31');
  const wrong: string[] = [];
  for (let number = first; number <= last; number++) {
    const day = new Date(number * 86_400_000).toISOString().slice(0, 10);
    if (
      parseDayNumber(day) !== number ||
      formatDayNumber(number) !== day ||
      yearOfDay(number) !== Number(day.slice(0, 4))
    )
      wrong.push(day);
  }
  expect(wrong).toEqual([]);
  expect(last - first).toBe(292_559);
});

// The leap rule: every fourth year, not the hundredth, but the four-hundredth (Inter gravissimas, 1582).
for (const [year, days] of [
  [1900, 365],
  [2000, 366],
  [2024, 366],
  [2026, 365],
  [2100, 365],
] as const)
  test(`${year} has ${days} days`, () =>
    expect(dayNumberOf(year + 1, 1, 1) - dayNumberOf(year, 1, 1)).toBe(days));

test('a day and its number belong together', () => {
  fc.assert(
    fc.property(fc.integer({ min: -700_000, max: 2_000_000 }), (number) => {
      expect(parseDayNumber(formatDayNumber(number))).toBe(number);
    }),
  );
});

test('what is no day has no number', () => expect(parseDayNumber('soon')).toBeNaN());
