import { DAY_NAMES, daysInMonth, toPartialDate } from '@/core/base';
import { type Anniversary, type Card, type LeapDayRule, shownAs } from '@/core/card';
import type { FollowUp } from '@/core/talks';

import { escapePart } from '../contentLines/text';
import type { WriteOptions } from '../format/format';
import { uidFromText } from '../properties/uidFromText';
import { calendarMoment, calendarText, property } from './calendarText';

/** The year a day begins in where its own isn't known; a leap year, so that 29 February is in it. */
const UNKNOWN_YEAR = 2000;

/** RFC 5545 §3.8.7.2 asks for a DTSTAMP; a card that was never written has this one. */
const NO_STAMP = '1970-01-01T00:00:00Z';

const CATEGORIES: Readonly<Record<string, string>> = { birth: 'BIRTHDAY' };

/**
 * Writes the yearly days of cards as one calendar (RFC 5545): an event a day, all day, each year, with a UID that
 * stays the same for as long as the card has the entry. Days without a month are left out, and so are days of death
 * and the birthdays of people who have died. What cards are to be reminded of goes along as tasks.
 */
export function writeCalendar(cards: readonly Card[], options: WriteOptions = {}): string {
  const events = cards.flatMap((card) => [
    ...Object.entries(card.anniversaries ?? {}).flatMap(([id, day]) =>
      eventOf(card, id, day, options.leapDay ?? 'february-28'),
    ),
    ...Object.entries(card['cordialis.example:followUps'] ?? {}).flatMap(([id, followUp]) =>
      todoOf(card, id, followUp),
    ),
  ]);
  options.onProgress?.(1, cards.length);
  return calendarText([
    'X-WR-CALNAME:Birthdays and anniversaries',
    'REFRESH-INTERVAL;VALUE=DURATION:P1D',
    ...events,
  ]);
}

/** A reminder is a task (RFC 5545 §3.6.2) that is due on its day. */
function todoOf(card: Card, id: string, { day, text }: FollowUp): string[] {
  return [
    'BEGIN:VTODO',
    property('UID', uidFromText(`${card.uid} ${id}`)),
    property('DTSTAMP', calendarMoment(card.updated ?? card.created ?? NO_STAMP)),
    property('DUE', day.replace(/-/g, ''), { VALUE: ['DATE'] }),
    property('SUMMARY', escapePart(`${text} (${shownAs(card)})`)),
    property('STATUS', 'NEEDS-ACTION'),
    'END:VTODO',
  ];
}

function eventOf(card: Card, id: string, day: Anniversary, leapDay: LeapDayRule): string[] {
  const { year, month, day: dayOfMonth } = toPartialDate(day.date);
  if (month === undefined || dayOfMonth === undefined || day.kind === 'death') return [];
  const hasDied = Object.values(card.anniversaries ?? {}).some(({ kind }) => kind === 'death');
  if (hasDied && day.kind === 'birth') return [];
  // A year that the calendar can't have (RFC 5545 §3.3.4), or without this day.
  const isUsable = year !== undefined && year > 0 && dayOfMonth <= daysInMonth(month, year);
  const start = [isUsable ? year : UNKNOWN_YEAR, month, dayOfMonth];
  const digits = start.map((part, i) => String(part).padStart(i === 0 ? 4 : 2, '0')).join('');
  const isLeapDay = month === 2 && dayOfMonth === 29;
  const word = day.label ?? DAY_NAMES[day.kind] ?? day.kind;
  const since = isUsable ? ` (${year})` : '';
  const category = CATEGORIES[day.kind] ?? 'ANNIVERSARY';
  return [
    'BEGIN:VEVENT',
    property('UID', uidFromText(`${card.uid} ${id} ${day.kind}`)),
    property('DTSTAMP', calendarMoment(card.updated ?? card.created ?? NO_STAMP)),
    property('DTSTART', digits, { VALUE: ['DATE'] }),
    property('RRULE', `FREQ=YEARLY${isLeapDay ? LEAP_DAY_RULES[leapDay] : ''}`),
    property('SUMMARY', escapePart(`${shownAs(card)}: ${word}${since}`)),
    property('CATEGORIES', category),
    property('TRANSP', 'TRANSPARENT'),
    'END:VEVENT',
  ];
}

/** RFC 5545 §3.3.10: the last day of February; or day 60, which is 29 February in leap years and 1 March in others. */
const LEAP_DAY_RULES: Readonly<Record<LeapDayRule, string>> = {
  'february-28': ';BYMONTH=2;BYMONTHDAY=-1',
  'march-1': ';BYYEARDAY=60',
};
