import { type Card, newCard } from '@/core/card';

import { summarise } from '../summary';
import type { Talk } from '../talk';
import { DayBook } from './dayBook';
import { type Meeting, withFollowUp, withMeeting } from './planned';
import { planToday } from './today';
import type { TodayCard } from './todayCard';

const today = '2026-11-25';
const options = { today, leapDay: 'february-28' as const, quietCount: 4, ahead: 28 };
const card = (uid: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  ...more,
});
const of = (one: Card): TodayCard => ({ card: one, summary: undefined, closeness: 0, rhythms: [] });
const rehearsal: Meeting = { title: 'Rehearsal', day: '2026-11-28', time: '10:00', minutes: 90 };

test('reminders stand on Today from their day on, and in the almanac before it', () => {
  const one = withFollowUp(
    withFollowUp(card('a'), 'late', { day: '2026-11-20', text: 'Ask for the score' }),
    'soon',
    { day: '2026-12-01', text: 'Send the contract' },
  );
  const plan = planToday([of(withFollowUp(one, 'far', { day: '2027-06-01', text: 'Ask again' }))], options);
  expect(plan.followUps).toEqual([{ uid: 'a', id: 'late', day: '2026-11-20', text: 'Ask for the score' }]);
  expect(plan.comingFollowUps.map(({ id }) => id)).toEqual(['soon']);
});

test('a reminder that is done leaves nothing on the card', () => {
  const plain = card('a');
  const one = withFollowUp(plain, 'x', { day: today, text: 'Ring' });
  expect(withFollowUp(one, 'x', undefined)).toEqual(plain);
  expect(withFollowUp(plain, 'x', undefined)).toEqual(plain);
});

test('an appointment with several people stands there once, with all of them', () => {
  const people = ['a', 'b', 'c'].map((uid) => of(withMeeting(card(uid), 'm', rehearsal)));
  const plan = planToday(people, options);
  expect(plan.meetings).toEqual([]);
  expect(plan.comingMeetings).toEqual([{ id: 'm', uids: ['a', 'b', 'c'], meeting: rehearsal }]);
  expect(planToday(people, { ...options, today: '2026-11-29' }).meetings).toHaveLength(1);
});

test('appointments of a day stand in the order of their times', () => {
  const at = (id: string, time: string) => withMeeting(card(id), id, { ...rehearsal, day: today, time });
  const plan = planToday([of(at('late', '18:30')), of(at('early', '09:15'))], options);
  expect(plan.meetings.map(({ id }) => id)).toEqual(['early', 'late']);
});

test('the dead are remembered on their day, and nothing else is asked about them', () => {
  const dead = card('a', {
    'cordialis.example:due': today,
    anniversaries: {
      b: { kind: 'birth', date: { year: 1930, month: 11, day: 26 } },
      d: { kind: 'death', date: { year: 2020, month: 11, day: 25 } },
    },
  });
  const plan = planToday([of(dead)], options);
  expect(plan.remembered.map(({ uid, years }) => [uid, years])).toEqual([['a', 6]]);
  expect([plan.greetings, plan.coming, plan.due]).toEqual([[], [], []]);
});

test('any other anniversary is kept as well', () => {
  const one = card('a', {
    anniversaries: { d: { kind: 'founding', date: { year: 2001, month: 11, day: 25 } } },
  });
  expect(planToday([of(one)], options).greetings.map(({ kind, years }) => [kind, years])).toEqual([
    ['founding', 25],
  ]);
});

const born = { anniversaries: { b: { kind: 'birth', date: { month: 11, day: 27 } } } };
const talk: Talk = { id: 't', kind: 'call', day: '2026-11-01', direction: 'out', with: ['a'], said: '' };

test('a book of days: the days of a list only, the rhythm of a list, the last talk', () => {
  const members: Record<string, string[]> = { players: ['a', 'c'] };
  const summary = summarise([talk]);
  const book = new DayBook({
    summaries: new Map(summary ? [['a', summary]] : []),
    closeness: () => new Map(),
    membersOf: (list) => members[list] ?? [],
  });
  const players = card('players', {
    kind: 'group',
    'cordialis.example:rhythm': { every: 1, unit: 'month' },
  });
  book.put([card('a', born), card('b', born), card('c', born), players], []);
  expect(book.plan(options).coming.map(({ uid }) => uid)).toEqual(['a', 'b', 'c']);
  expect(book.plan({ ...options, list: 'players' }).coming.map(({ uid }) => uid)).toEqual(['a', 'c']);
  // The talk of 1 November and a month; for the other the day its card was made.
  expect(book.plan(options).comingDue.map(({ uid, day }) => [uid, day])).toEqual([['a', '2026-12-01']]);
  expect(book.plan(options).late.map(({ uid, day }) => [uid, day])).toEqual([['c', '2026-02-01']]);
  book.put([], ['a', 'c']);
  expect(book.plan({ ...options, list: 'players' }).coming).toEqual([]);
});
