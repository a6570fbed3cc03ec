import { summarise, type Talk } from '@/core/talks';

import { byCloseness, byLastTalk } from './talkOrder';

const summary = (day: string) => {
  const talk: Talk = { id: day, kind: 'call', day, direction: 'out', with: ['x'], said: '' };
  return summarise([talk]);
};
const summaries: Readonly<Record<string, ReturnType<typeof summary>>> = {
  a: summary('2026-10-02'),
  b: summary('2026-11-20'),
  d: summary('2026-10-30'),
};

test('by last talk: the latest first under its month, those without one last in their own order', () => {
  const places = byLastTalk(['z', 'a', 'b', 'c', 'd'], (uid) => summaries[uid], 'en-GB');
  expect(places.map(({ uid, heading }) => `${uid} ${heading}`)).toEqual([
    'b November 2026',
    'd October 2026',
    'a October 2026',
    'z No talk yet',
    'c No talk yet',
  ]);
});

test('by closeness: the closest first, in bands', () => {
  const places = byCloseness(
    ['a', 'b', 'c', 'd'],
    new Map([
      ['a', 19],
      ['b', 100],
      ['d', 20],
    ]),
  );
  expect(places.map(({ uid, heading }) => `${uid} ${heading}`)).toEqual([
    'b Closeness 80 to 100',
    'd Closeness 20 to 40',
    'a Closeness 0 to 20',
    'c No talk yet',
  ]);
});
