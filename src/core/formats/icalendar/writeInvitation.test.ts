// Read back by ical.js (RFC 5545); what each method must hold is RFC 5546 §3.2.
import ICAL from 'ical.js';

import { type Card, newCard } from '@/core/card';

import { type Invitation, writeInvitation } from './writeInvitation';

const person = (uid: string, full: string, address?: string): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  name: { full },
  ...(address === undefined ? {} : { emails: { e1: { address } } }),
});
const invitation: Invitation = {
  id: 'm1',
  meeting: {
    title: 'Programme; and fee',
    day: '2026-12-01',
    time: '14:30',
    minutes: 45,
    place: 'The Wharf, hall 2',
  },
  people: [person('a', 'Bo "Bobo" Ek', 'bo@example.org'), person('b', 'Ada Lowther')],
  method: 'REQUEST',
  organizer: 'me@example.org',
  startUtc: '2026-12-01T14:30:00Z',
  stamp: '2026-11-25T10:00:00Z',
};
const read = (what: Invitation) => {
  const root = new ICAL.Component(ICAL.parse(writeInvitation(what)) as unknown[]);
  const component = root.getFirstSubcomponent('vevent') as ICAL.Component;
  return { method: root.getFirstPropertyValue('method'), component, event: new ICAL.Event(component) };
};

test('a request names the organiser, asks those with an address, and says when and where', () => {
  const { method, component, event } = read(invitation);
  expect(method).toBe('REQUEST');
  expect(event.summary).toBe('Programme; and fee');
  expect(event.location).toBe('The Wharf, hall 2');
  expect(event.startDate.toJSDate().toISOString()).toBe('2026-12-01T14:30:00.000Z');
  expect(event.endDate.toJSDate().toISOString()).toBe('2026-12-01T15:15:00.000Z');
  expect(component.getFirstPropertyValue('organizer')).toBe('mailto:me@example.org');
  const [asked, ...others] = component.getAllProperties('attendee');
  expect(others).toEqual([]);
  expect(asked?.getFirstValue()).toBe('mailto:bo@example.org');
  expect([asked?.getParameter('rsvp'), asked?.getParameter('partstat')]).toEqual(['TRUE', 'NEEDS-ACTION']);
});

test('without an own address it is only published, as a request needs an organiser', () => {
  const { method, component } = read({ ...invitation, organizer: undefined });
  expect(method).toBe('PUBLISH');
  expect(component.getAllProperties('attendee')).toEqual([]);
});

test('calling it off keeps the UID, counts the sequence up and says cancelled', () => {
  const [before, after] = [
    read(invitation),
    read({ ...invitation, method: 'CANCEL', meeting: { ...invitation.meeting, sequence: 1 } }),
  ];
  expect(after.method).toBe('CANCEL');
  expect(after.event.uid).toBe(before.event.uid);
  expect(after.component.getFirstPropertyValue('status')).toBe('CANCELLED');
  expect([before.event.sequence, after.event.sequence]).toEqual([0, 1]);
});

test('without a time it is a whole day, which ends where the next begins', () => {
  const { time: _, ...meeting } = invitation.meeting;
  const { event } = read({ ...invitation, meeting, startUtc: undefined });
  expect([event.startDate.isDate, String(event.startDate), String(event.endDate)]).toEqual([
    true,
    '2026-12-01',
    '2026-12-02',
  ]);
});
