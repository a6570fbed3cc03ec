// Half-lives and due days are worked out by hand; day counts were taken from Python's datetime.date (3.11).
import fc from 'fast-check';

import { addDays, addMonths, daysBetween } from '@/core/base';
import { type Card, newCard } from '@/core/card';

import { rankCloseness, rawCloseness } from './closeness';
import { afterRhythm, dueOf, rhythmFor } from './due';
import { summarise, usualGap, withTalk } from './summary';
import { compareTalks, keywordsOf, type Talk, TALK_KINDS, talksWith } from './talk';
import { greetingKey, planToday } from './today/today';
import type { TodayCard } from './today/todayCard';

const talk = (day: string, more: Partial<Talk> = {}): Talk => ({
  ...{ id: day, kind: 'call', day, direction: 'both', with: ['ada'], said: '' },
  ...more,
});

const counts: [string, string, number][] = [
  ['2024-02-28', '2024-03-01', 2],
  ['2023-02-28', '2023-03-01', 1],
  ['1900-02-28', '1900-03-01', 1],
  ['1968-05-03', '2026-11-25', 21390],
  ['2026-10-24', '2026-10-26', 2],
  ['2026-11-25', '2026-11-24', -1],
];
for (const [from, to, days] of counts) {
  test(`${from} to ${to} is ${days} days`, () => {
    expect(daysBetween(from, to)).toBe(days);
    expect(addDays(from, days)).toBe(to);
  });
}

const months: [string, number, string][] = [
  ['2026-01-31', 1, '2026-02-28'],
  ['2024-01-31', 1, '2024-02-29'],
  ['2026-11-30', 3, '2027-02-28'],
  ['2026-12-15', 12, '2027-12-15'],
];
for (const [from, count, to] of months)
  test(`${count} months after ${from} is ${to}`, () => expect(addMonths(from, count)).toBe(to));

const arbitraryTalk = fc
  .record({
    id: fc.uuid(),
    kind: fc.constantFrom(...TALK_KINDS),
    day: fc.integer({ min: 0, max: 1500 }).map((n) => addDays('2023-01-01', n)),
    direction: fc.constantFrom('out' as const, 'in' as const, 'both' as const),
  })
  .map((some): Talk => ({ ...some, with: ['ada'], said: '' }));

test('a summary is the same in whatever order its talks come', () => {
  fc.assert(
    fc.property(fc.array(arbitraryTalk, { minLength: 1, maxLength: 12 }), (talks) => {
      let summary;
      for (const one of talks) summary = withTalk(summary, one);
      const made = summarise(talks);
      expect(summary?.out).toBeCloseTo(made?.out ?? -1, 8);
      expect(summary?.in).toBeCloseTo(made?.in ?? -1, 8);
      const { out: _, in: __, lastKind: ___, ...rest } = made ?? {};
      expect(summary).toMatchObject(rest);
    }),
  );
});

test('a weight halves in 180 days, and the lesser side counts once more', () => {
  const one = summarise([talk('2026-01-01', { direction: 'out' })]);
  if (!one) throw new Error('there is no summary');
  expect(rawCloseness(one, '2026-01-01')).toBeCloseTo(4, 10);
  expect(rawCloseness(one, '2026-06-30')).toBeCloseTo(2, 10);
  const both = withTalk(one, talk('2026-06-30', { direction: 'in', kind: 'mail' }));
  // Out 4 halved is 2, in 1.5; the lesser once more.
  expect(rawCloseness(both, '2026-06-30')).toBeCloseTo(2 + 1.5 + 1.5, 10);
});

test('closeness is a rank from 0 to 100; whoever weighs the same stands the same', () => {
  const [often, once] = [
    summarise([talk('2026-11-01'), talk('2026-11-02')]),
    summarise([talk('2026-11-01')]),
  ];
  if (!often || !once) throw new Error('there is no summary');
  const ranks = rankCloseness(
    [
      ['a', once],
      ['b', often],
      ['c', once],
    ],
    '2026-11-25',
  );
  expect(ranks.get('b')).toBe(100);
  expect(ranks.get('a')).toBe(ranks.get('c'));
  expect(ranks.get('a')).toBeLessThan(100);
});

test('what is usual is the median of the gaps', () => {
  expect(usualGap({ days: ['2026-01-01', '2026-01-08'] })).toBeUndefined();
  expect(usualGap({ days: ['2026-01-01', '2026-01-08', '2026-01-18', '2026-03-01'] })).toBe(10);
  expect(usualGap({ days: ['2026-01-01', '2026-01-08', '2026-01-18'] })).toBe(8.5);
});

test('a rhythm: the own one wins, else the shortest going one of the lists; a stopped own one is none', () => {
  const week = { every: 1, unit: 'week' as const };
  const year = { every: 1, unit: 'year' as const };
  expect(rhythmFor(year, [week])).toBe(year);
  expect(rhythmFor(undefined, [year, week, { every: 3, unit: 'day', paused: true }])).toBe(week);
  expect(rhythmFor({ ...year, paused: true }, [week])).toBeUndefined();
  expect(afterRhythm('2026-11-30', { every: 1, unit: 'quarter' })).toBe('2027-02-28');
});

const card = (uid: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...more,
});

test('due: set by hand before the rhythm, which counts from the last talk, or from when the card was made', () => {
  const rhythm = { every: 2, unit: 'week' as const };
  expect(dueOf(card('a', { 'cordialis.example:due': '2026-12-01' }), rhythm, { last: '2026-11-01' })).toEqual(
    {
      day: '2026-12-01',
      by: 'hand',
    },
  );
  expect(dueOf(card('a'), rhythm, { last: '2026-11-01' })?.day).toBe('2026-11-15');
  expect(dueOf(card('a'), rhythm, undefined)?.day).toBe('2026-01-15');
  expect(dueOf(card('a'), undefined, { last: '2026-11-01' })).toBeUndefined();
});

const today = '2026-11-25';
const options = { today, leapDay: 'february-28' as const, quietCount: 4, ahead: 28 };
const of = (one: Card, talks: readonly Talk[] = [], closeness = 50): TodayCard => ({
  ...{ card: one, summary: summarise(talks), closeness, rhythms: [] },
});
const born = (day: number, month = 11, more: Partial<Card> = {}) => ({
  anniversaries: { b: { kind: 'birth', date: { year: 1980, month, day } } },
  ...more,
});
const weekly = ['2026-06-01', '2026-06-08', '2026-06-15', '2026-06-22'].map((day) => talk(day));

test('one day that was greeted leaves another of the same day and kind', () => {
  const date = { month: 11, day: 25 };
  const days = {
    n: { kind: 'other', date, label: 'Name day' },
    f: { kind: 'other', date, label: 'First concert' },
  };
  const greeted = { [greetingKey({ kind: 'other', id: 'n' })]: '2026' };
  const one = of(card('ada', { anniversaries: days, 'cordialis.example:greeted': greeted }));
  expect(planToday([one], options).greetings.map(({ id }) => id)).toEqual(['f']);
});

test('a day: greetings, due, late, coming; the dead, the archived and the greeted are left in peace', () => {
  const plan = planToday(
    [
      of(card('turns46', born(25))),
      of(card('greeted', born(25, 11, { 'cordialis.example:greeted': { birth: '2026' } }))),
      of(card('archived', born(25, 11, { 'cordialis.example:archived': true }))),
      of(
        card('dead', {
          anniversaries: {
            b: { kind: 'birth', date: { month: 11, day: 25 } },
            d: { kind: 'death', date: { year: 2020 } },
          },
        }),
      ),
      of(card('soon', born(3, 12))),
      of(card('later', born(24, 12))),
      of(card('due', { 'cordialis.example:due': today })),
      of(card('late', { 'cordialis.example:rhythm': { every: 1, unit: 'month' } }), [talk('2026-10-01')]),
      of(card('next', { 'cordialis.example:due': '2026-12-01' })),
    ],
    options,
  );
  expect(plan.greetings.map(({ uid, years }) => `${uid} ${years}`)).toEqual(['turns46 46']);
  expect(plan.due).toEqual([{ uid: 'due', day: today, by: 'hand' }]);
  expect(plan.late).toEqual([{ uid: 'late', day: '2026-11-01', by: 'rhythm' }]);
  expect(plan.coming.map(({ uid }) => uid)).toEqual(['soon']);
  expect(plan.comingDue.map(({ uid }) => uid)).toEqual(['next']);
});

test('gone quiet: close ones, unusually silent, without a rhythm; those put off are not among them', () => {
  const often = Array.from({ length: 6 }, (_, i) => of(card(`q${i}`), weekly, 90 - i));
  const plan = planToday(
    [
      ...often,
      of(card('lately'), [...weekly, talk('2026-11-20')]),
      of(card('rhythm', { 'cordialis.example:rhythm': { every: 1, unit: 'year' } }), weekly),
      of(card('never', { 'cordialis.example:quiet': 'never' }), weekly),
      of(card('not now', { 'cordialis.example:quiet': '2026-12-24' }), weekly),
      of(card('twice'), weekly.slice(0, 2)),
      of(card('firm', { kind: 'org' }), weekly),
    ],
    options,
  );
  expect(plan.quiet).toHaveLength(4);
  expect(plan.quiet.every(({ uid }) => uid.startsWith('q'))).toBe(true);
  expect(plan.quiet[0]).toMatchObject({ days: 156, usual: 7 });
  expect(planToday(often, options)).toEqual(planToday([...often].reverse(), options));
});

test('over the days those who are alike take turns', () => {
  const alike = Array.from({ length: 12 }, (_, i) => of(card(`q${i}`), weekly, 80));
  const seen = new Map<string, number>();
  for (let i = 0; i < 120; i += 1)
    for (const { uid } of planToday(alike, { ...options, today: addDays(today, i) }).quiet)
      seen.set(uid, (seen.get(uid) ?? 0) + 1);
  // 120 days of 4 places for 12 people: 40 each on the average.
  expect(seen.size).toBe(12);
  expect(Math.min(...seen.values())).toBeGreaterThan(20);
});

test('talks stand latest first, and #keywords are found in what was said', () => {
  const talks = [
    talk('2026-11-01'),
    talk('2026-11-02', { time: '09:00' }),
    talk('2026-11-02', { id: 'z', time: '17:00' }),
  ];
  expect([...talks].sort(compareTalks).map(({ id }) => id)).toEqual(['z', '2026-11-02', '2026-11-01']);
  expect(talksWith(talks, ['bo'])).toEqual([]);
  expect(keywordsOf('About #Rider and (#rider), not a#b; #säng 1')).toEqual(['rider', 'säng']);
});
