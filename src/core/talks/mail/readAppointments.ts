import ICAL from 'ical.js';

import type { Mailbox } from './readMailHead';

/** The most occurrences found: an endless daily appointment must not fill the memory. */
const MAX_ROUNDS = 1500;
/** The most that are passed over before the first one found: some centuries of a daily one. */
const MAX_PASSED = 100_000;

/** An appointment of a calendar, one of its rounds where it comes round. */
export interface Appointment {
  /** The same for the same round of the same appointment, whenever it is read. */
  readonly id: string;
  readonly title: string;
  readonly place: string;
  /** Milliseconds since 1970; of a whole day the day itself. */
  readonly start: { readonly atMs: number } | { readonly day: string };
  readonly minutes: number;
  /** All who were asked or who asked, those who declined left out. */
  readonly people: readonly Mailbox[];
}

/** How far recurring appointments are expanded. */
export interface AppointmentOptions {
  /** ISO 8601 calendar dates, both included. */
  readonly from: string;
  readonly to: string;
}

/**
 * Reads the appointments of a calendar that somebody else takes part in.
 *
 * Source: RFC 5545; times with a zone that the file explains are taken by it, floating ones as the platform's own.
 *
 * @throws ParserError of ical.js for what is no calendar
 */
export function readAppointments(text: string, options: AppointmentOptions): Appointment[] {
  const root = new ICAL.Component(ICAL.parse(text) as unknown[]);
  for (const zone of root.getAllSubcomponents('vtimezone'))
    ICAL.TimezoneService.register(new ICAL.Timezone(zone));
  const events = root.getAllSubcomponents('vevent').map((component) => new ICAL.Event(component));
  const exceptions = events.filter((event) => event.isRecurrenceException());
  for (const event of events)
    for (const exception of exceptions)
      if (exception.uid === event.uid && exception !== event && !event.isRecurrenceException())
        event.relateException(exception);
  return events.flatMap((event) => (event.isRecurrenceException() ? [] : roundsOf(event, options)));
}

function roundsOf(event: ICAL.Event, { from, to }: AppointmentOptions): Appointment[] {
  const status = event.component.getFirstPropertyValue('status');
  if (status === 'CANCELLED' || event.startDate === null) return [];
  if (!event.isRecurring()) return toAppointment(event, event.startDate, event.endDate, event.uid);
  const found: Appointment[] = [];
  const iterator = event.iterator();
  for (let round = 0; round < MAX_PASSED && found.length < MAX_ROUNDS; round += 1) {
    const next = iterator.next() as ICAL.Time | undefined;
    if (!next || dayOf(next) > to) break;
    if (dayOf(next) < from) continue;
    const { item, startDate, endDate } = event.getOccurrenceDetails(next);
    found.push(...toAppointment(item, startDate, endDate, `${event.uid} ${next.toString()}`));
  }
  return found;
}

function toAppointment(event: ICAL.Event, start: ICAL.Time, end: ICAL.Time, id: string): Appointment[] {
  const people = peopleOf(event);
  if (people.length === 0 || event.component.getFirstPropertyValue('status') === 'CANCELLED') return [];
  const minutes = Math.max(1, Math.round(end.subtractDate(start).toSeconds() / 60));
  return [
    {
      ...{ id, title: event.summary ?? '', place: event.location ?? '', minutes, people },
      start: start.isDate ? { day: dayOf(start) } : { atMs: start.toJSDate().getTime() },
    },
  ];
}

function peopleOf(event: ICAL.Event): Mailbox[] {
  const asked = event.attendees.filter((one) => one.getParameter('partstat') !== 'DECLINED');
  const organizer = event.component.getFirstProperty('organizer');
  return [...(organizer ? [organizer] : []), ...asked].flatMap((one): Mailbox[] => {
    const [, address] = /^mailto:(.+@.+)$/i.exec(String(one.getFirstValue())) ?? [];
    const name = one.getParameter('cn');
    return address === undefined ? [] : [{ name: typeof name === 'string' ? name : '', address }];
  });
}

function dayOf(time: ICAL.Time): string {
  return time.toString().slice(0, 10);
}
