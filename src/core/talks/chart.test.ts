import { balanceOf, talksByMonth, talksByYear } from './chart';
import { summarise, withTalk } from './summary';
import type { Direction, Talk } from './talk';

const talk = (day: string, direction: Direction): Talk => ({
  ...{ id: `${day} ${direction}`, kind: 'call', day, direction, with: ['a'], said: '' },
});

test('talks by month and direction, the empty months too, over the year’s end', () => {
  const talks = [
    talk('2026-01-31', 'out'),
    talk('2026-01-01', 'out'),
    talk('2025-12-31', 'in'),
    talk('2026-02-28', 'both'),
    talk('2025-10-31', 'out'),
  ];
  expect(talksByMonth(talks, '2026-02-14', 4)).toEqual([
    { month: '2025-11', out: 0, in: 0, both: 0 },
    { month: '2025-12', out: 0, in: 1, both: 0 },
    { month: '2026-01', out: 2, in: 0, both: 0 },
    { month: '2026-02', out: 0, in: 0, both: 1 },
  ]);
});

test('talks by year and kind, the years without one too; a summary from before they were counted has none', () => {
  const kinds = ['meeting', 'call', 'call'] as const;
  const talks = ['2023-12-31', '2025-01-01', '2023-01-01'].map((day, i): Talk => ({
    ...talk(day, 'out'),
    kind: kinds[i] ?? 'mail',
  }));
  const summary = summarise(talks);
  expect(summary && talksByYear(summary)).toEqual([
    { year: '2023', counts: [1, 1, 0, 0, 0] },
    { year: '2024', counts: [0, 0, 0, 0, 0] },
    { year: '2025', counts: [0, 1, 0, 0, 0] },
  ]);
  const { years: _, ...older } = summary ?? withTalk(undefined, talk('2023-01-01', 'out'));
  // A part of the years would look like all of them; the next look through the book makes the summary again.
  expect(talksByYear(withTalk(older, talk('2025-03-01', 'in')))).toEqual([]);
});

test('a rhythm is kept on its day still, late from the next on, and never where there was no talk', () => {
  const month = { every: 1, unit: 'month' as const };
  const members = [{ last: '2026-10-25' }, { last: '2026-10-24' }, { last: '2026-11-20' }, undefined];
  expect(balanceOf(month, members, '2026-11-25')).toEqual({ kept: 2, late: 1, never: 1 });
});
