import { balanceOf, talksByMonth } from './chart';
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

test('a rhythm is kept on its day still, late from the next on, and never where there was no talk', () => {
  const month = { every: 1, unit: 'month' as const };
  const members = [{ last: '2026-10-25' }, { last: '2026-10-24' }, { last: '2026-11-20' }, undefined];
  expect(balanceOf(month, members, '2026-11-25')).toEqual({ kept: 2, late: 1, never: 1 });
});
