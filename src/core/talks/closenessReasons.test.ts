import { closenessReasons } from './closenessReasons';
import { summarise } from './summary';
import type { Talk } from './talk';

const talk = (day: string, direction: Talk['direction']): Talk => ({
  ...{ id: `${day}${direction}`, kind: 'call', day, direction, with: ['a'], said: '' },
});
const cases: { name: string; talks: Talk[]; reasons: string[] }[] = [
  {
    name: 'a single talk of one side',
    talks: [talk('2026-11-20', 'out')],
    reasons: ['1 talk, the last 5 days ago', 'begun by you only'],
  },
  {
    name: 'often and both ways',
    talks: ['2026-11-03', '2026-11-10', '2026-11-17', '2026-11-24'].map((day) => talk(day, 'both')),
    reasons: ['4 talks, the last yesterday', 'usually every 7 days', 'both ways'],
  },
  {
    name: 'mostly the other',
    talks: [
      ...['2026-11-01', '2026-11-02', '2026-11-03', '2026-11-04'].map((day) => talk(day, 'in')),
      talk('2026-11-05', 'out'),
    ],
    reasons: ['5 talks, the last 20 days ago', 'usually every day', 'mostly begun by them'],
  },
];
for (const { name, talks, reasons } of cases)
  test(`what closeness comes from: ${name}`, () => {
    const summary = summarise(talks);
    expect(summary && closenessReasons(summary, '2026-11-25')).toEqual(reasons);
  });
