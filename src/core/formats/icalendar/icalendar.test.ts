// What is written is read by ical.js (RFC 5545), and comes round on the days that the product says.
import fc from 'fast-check';
import ICAL from 'ical.js';

import { encodeUtf8, type PartialDate } from '@/core/base';
import { type Card, type LeapDayRule, newCard } from '@/core/card';
import { nextAnniversary } from '@/core/card/dates/nextAnniversary';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { icalendar } from './icalendarFormat';

const card = (date: PartialDate, more: Partial<Card> = {}): Card => ({
  ...newCard('urn:uuid:1', '2026-01-01T00:00:00Z'),
  name: { full: 'Ek, Bo; the elder' },
  anniversaries: { d1: { kind: 'birth', date } },
  ...more,
});
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((component) => new ICAL.Event(component));

test('a birthday is an event of the whole day, with its text, for ever', () => {
  const [event] = events(icalendar.write([card({ year: 1968, month: 2, day: 3 })]));
  expect(event?.summary).toBe('Ek, Bo; the elder: birthday (1968)');
  expect(event?.startDate.toString()).toBe('1968-02-03');
  expect(event?.startDate.isDate).toBe(true);
  expect(event?.isRecurring()).toBe(true);
});

/** The day in some years on which an event comes round, by ical.js. */
function daysIn(text: string, years: readonly number[]): string[] {
  const [event] = events(text);
  const iterator = event?.iterator();
  const days: string[] = [];
  for (let next = iterator?.next(); next && next.year <= Math.max(...years); next = iterator?.next())
    if (years.includes(next.year)) days.push(next.toString());
  return days;
}

const leapRules: { rule: LeapDayRule; days: string[] }[] = [
  { rule: 'february-28', days: ['2026-02-28', '2027-02-28', '2028-02-29', '2100-02-28'] },
  { rule: 'march-1', days: ['2026-03-01', '2027-03-01', '2028-02-29', '2100-03-01'] },
];
for (const { rule, days } of leapRules) {
  test(`29 February with the rule ${rule} comes round as on the card`, () => {
    const date = { month: 2, day: 29 };
    const text = icalendar.write([card(date)], { leapDay: rule });
    expect(daysIn(text, [2026, 2027, 2028, 2100])).toEqual(days);
    for (const day of days) expect(nextAnniversary(date, `${day.slice(0, 4)}-01-01`, rule)?.day).toBe(day);
  });
}

test('UIDs stay the same when the day is corrected, and differ between days', () => {
  const uid = (one: Card) => events(icalendar.write([one])).map((event) => event.uid);
  expect(uid(card({ month: 2, day: 3 }))).toEqual(uid(card({ year: 1968, month: 2, day: 4 })));
  const two = card(
    { month: 2, day: 3 },
    {
      anniversaries: {
        d1: { kind: 'birth', date: { month: 2, day: 3 } },
        d2: { kind: 'wedding', date: { month: 5, day: 3 } },
      },
    },
  );
  expect(new Set(uid(two)).size).toBe(2);
});

test('the dead are not greeted; days without a month or a day have no event', () => {
  const dead = card(
    { month: 2, day: 3 },
    {
      anniversaries: {
        d1: { kind: 'birth', date: { year: 1900, month: 2, day: 3 } },
        d2: { kind: 'death', date: { year: 1980, month: 2, day: 3 } },
      },
    },
  );
  expect(events(icalendar.write([dead, card({ year: 1968 }), card({ month: 2 })]))).toEqual([]);
});

test('law: any cards give a calendar that ical.js reads, with lines of at most 75 octets', () => {
  fc.assert(
    fc.property(fc.array(arbitraryCard, { maxLength: 3 }), (cards) => {
      const text = icalendar.write(cards);
      for (const line of text.split('\r\n')) expect(encodeUtf8(line).length).toBeLessThanOrEqual(75);
      for (const event of events(text)) expect(event.startDate.isDate).toBe(true);
    }),
    { numRuns: 60 },
  );
});

test('a reminder is a task that is due on its day', () => {
  const one = card(
    { year: 1968 },
    { 'cordialis.example:followUps': { f: { day: '2026-12-05', text: 'Ask, again' } } },
  );
  const root = new ICAL.Component(ICAL.parse(icalendar.write([one])) as unknown[]);
  const [todo] = root.getAllSubcomponents('vtodo');
  expect(todo?.getFirstPropertyValue('summary')).toBe('Ask, again (Ek, Bo; the elder)');
  expect(String(todo?.getFirstPropertyValue('due'))).toBe('2026-12-05');
  expect(todo?.getFirstPropertyValue('status')).toBe('NEEDS-ACTION');
});
