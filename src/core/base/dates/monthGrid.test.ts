import fc from 'fast-check';

import { firstWeekday, monthGrid } from './monthGrid';

test('a month whose first is a Sunday, in weeks from Monday and from Sunday', () => {
  expect(monthGrid('2026-11', 1)[0]).toEqual([...Array<undefined>(6), '2026-11-01']);
  expect(monthGrid('2026-11', 7)[0]?.[0]).toBe('2026-11-01');
  expect(monthGrid('2027-02', 1)).toHaveLength(4);
});

test('every day of a month stands once, in order, under its weekday (law, against the engine’s calendar)', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1600, max: 2400 }),
      fc.integer({ min: 1, max: 12 }),
      fc.integer({ min: 1, max: 7 }),
      (year, month, first) => {
        const name = `${year}-${String(month).padStart(2, '0')}`;
        const weeks = monthGrid(name, first);
        const days = weeks.flat().filter((day) => day !== undefined);
        expect(days).toHaveLength(new Date(Date.UTC(year, month, 0)).getUTCDate());
        expect(days).toEqual([...new Set(days)].sort());
        for (const week of weeks)
          week.forEach((day, i) => {
            if (day !== undefined) expect(new Date(`${day}T00:00:00Z`).getUTCDay()).toBe((first + i) % 7);
          });
      },
    ),
  );
});

test('weeks begin as the region has it (Unicode CLDR, week data: 001 Monday, US Sunday)', () => {
  expect(['en-GB', 'en-US', 'de-DE'].map(firstWeekday)).toEqual([1, 7, 1]);
});
