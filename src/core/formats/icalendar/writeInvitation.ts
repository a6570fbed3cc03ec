import { addDays } from '@/core/base';
import { type Card, preferredEntry, shownAs } from '@/core/card';
import type { Meeting } from '@/core/talks';

import type { Params } from '../contentLines/contentLine';
import { escapePart } from '../contentLines/text';
import { uidFromText } from '../properties/uidFromText';
import { calendarMoment, calendarText, property } from './calendarText';

/** An appointment that people are asked to, or told that it is off. */
export interface Invitation {
  readonly id: string;
  readonly meeting: Meeting;
  readonly people: readonly Card[];
  readonly method: 'REQUEST' | 'CANCEL';
  /** The user's own mail address; without it the file only says what and when, and asks for no answer. */
  readonly organizer?: string | undefined;
  /** UTCDateTime of its beginning; not asked for where it has no time. */
  readonly startUtc?: string | undefined;
  /** UTCDateTime of now. */
  readonly stamp: string;
}

/**
 * Writes an appointment for the calendars of those who come.
 *
 * Source: RFC 5546 §3.2.2 (REQUEST) and §3.2.5 (CANCEL), which need an organiser; without one RFC 5546 §3.2.1 (PUBLISH)
 * without attendees. People without a mail address can't be asked and are left out.
 */
export function writeInvitation({
  id,
  meeting,
  people,
  method,
  organizer,
  startUtc,
  stamp,
}: Invitation): string {
  const isCancelled = method === 'CANCEL';
  const { title, place, sequence = 0 } = meeting;
  return calendarText([
    `METHOD:${organizer === undefined ? 'PUBLISH' : method}`,
    'BEGIN:VEVENT',
    property('UID', uidFromText(`meeting ${id}`)),
    property('DTSTAMP', calendarMoment(stamp)),
    property('SEQUENCE', String(sequence)),
    ...timesOf(meeting, startUtc),
    property('SUMMARY', escapePart(title)),
    ...(place === undefined ? [] : [property('LOCATION', escapePart(place))]),
    ...(organizer === undefined
      ? []
      : [
          property('ORGANIZER', `mailto:${organizer}`),
          ...people.flatMap((card) => attendee(card, isCancelled)),
        ]),
    property('STATUS', isCancelled ? 'CANCELLED' : 'CONFIRMED'),
    'END:VEVENT',
  ]);
}

function timesOf({ day, minutes }: Meeting, startUtc: string | undefined): string[] {
  if (startUtc !== undefined)
    return [property('DTSTART', calendarMoment(startUtc)), property('DURATION', `PT${minutes}M`)];
  const date: Params = { VALUE: ['DATE'] };
  // The end of a day is the next one (RFC 5545 §3.6.1: not included).
  return [
    property('DTSTART', day.replace(/-/g, ''), date),
    property('DTEND', addDays(day, 1).replace(/-/g, ''), date),
  ];
}

function attendee(card: Card, isCancelled: boolean): string[] {
  const address = preferredEntry(card.emails)?.address;
  if (address === undefined) return [];
  // RFC 5545 §3.1.1: a parameter can't hold a quote.
  const params: Params = { CN: [shownAs(card).replace(/"/g, '’')] };
  if (!isCancelled) Object.assign(params, { PARTSTAT: ['NEEDS-ACTION'], RSVP: ['TRUE'] });
  return [property('ATTENDEE', `mailto:${address}`, params)];
}
