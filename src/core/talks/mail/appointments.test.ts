// Calendars after RFC 5545; the time zone is the one of its §3.6.5, shortened; rounds by its §3.8.5.3 examples.
import { appointmentTalks } from './appointmentTalks';
import { type Appointment, readAppointments } from './readAppointments';
import type { TalkMatcher } from './toCorrespondence';

const ZONE = `BEGIN:VTIMEZONE
TZID:America/New_York
BEGIN:DAYLIGHT
TZOFFSETFROM:-0500
TZOFFSETTO:-0400
DTSTART:19870405T020000
RRULE:FREQ=YEARLY;BYMONTH=4;BYDAY=1SU;UNTIL=20060402T070000Z
END:DAYLIGHT
BEGIN:STANDARD
TZOFFSETFROM:-0400
TZOFFSETTO:-0500
DTSTART:19671029T020000
RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU;UNTIL=20061029T060000Z
END:STANDARD
BEGIN:DAYLIGHT
TZOFFSETFROM:-0500
TZOFFSETTO:-0400
DTSTART:20070311T020000
RRULE:FREQ=YEARLY;BYMONTH=3;BYDAY=2SU
END:DAYLIGHT
BEGIN:STANDARD
TZOFFSETFROM:-0400
TZOFFSETTO:-0500
DTSTART:20071104T020000
RRULE:FREQ=YEARLY;BYMONTH=11;BYDAY=1SU
END:STANDARD
END:VTIMEZONE`;
const calendar = (...events: string[]) =>
  ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//x//x//EN', ZONE, ...events, 'END:VCALENDAR']
    .join('\n')
    .replace(/\n/g, '\r\n');
const event = (...lines: string[]) =>
  ['BEGIN:VEVENT', 'DTSTAMP:20261101T000000Z', ...lines, 'END:VEVENT'].join('\n');
const BO = 'ATTENDEE;CN="Bo Ek";PARTSTAT=ACCEPTED:mailto:BO@example.org';
const all = { from: '1990-01-01', to: '2030-12-31' };
const starts = (found: Appointment[]) =>
  found.map(({ start }) => ('day' in start ? start.day : new Date(start.atMs).toISOString()));

test('a time with a zone is the moment that the zone says, in summer and in winter', () => {
  const at = (id: string, when: string) =>
    event(`UID:${id}`, `DTSTART;TZID=America/New_York:${when}`, 'DURATION:PT45M', 'SUMMARY:Fee', BO);
  const found = readAppointments(calendar(at('a', '20260701T090000'), at('b', '20261201T090000')), all);
  expect(starts(found)).toEqual(['2026-07-01T13:00:00.000Z', '2026-12-01T14:00:00.000Z']);
  expect(found[0]).toMatchObject({
    title: 'Fee',
    minutes: 45,
    people: [{ name: 'Bo Ek', address: 'BO@example.org' }],
  });
});

// RFC 5545 §3.8.5.3: "Daily for 10 occurrences"; 1997 September 2-11.
test('daily for ten occurrences, one of them moved, one taken out', () => {
  const text = calendar(
    event(
      'UID:d',
      'DTSTART;TZID=America/New_York:19970902T090000',
      'DURATION:PT1H',
      'RRULE:FREQ=DAILY;COUNT=10',
      'EXDATE;TZID=America/New_York:19970904T090000',
      'SUMMARY:Daily',
      BO,
    ),
    event(
      'UID:d',
      'RECURRENCE-ID;TZID=America/New_York:19970903T090000',
      'DTSTART;TZID=America/New_York:19970903T150000',
      'DURATION:PT1H',
      'SUMMARY:Moved',
      BO,
    ),
  );
  const found = readAppointments(text, all);
  expect(found).toHaveLength(9);
  expect(starts(found).slice(0, 3)).toEqual([
    '1997-09-02T13:00:00.000Z',
    '1997-09-03T19:00:00.000Z',
    '1997-09-05T13:00:00.000Z',
  ]);
  expect(found[1]?.title).toBe('Moved');
  expect(new Set(found.map(({ id }) => id)).size).toBe(9);
  expect(readAppointments(text, { from: '1997-09-05', to: '1997-09-06' })).toHaveLength(2);
});

test('every weekday since 2019 goes on for ever', () => {
  const text = calendar(
    event(
      'UID:w',
      'DTSTART:20190107T090000Z',
      'DURATION:PT15M',
      'RRULE:FREQ=WEEKLY;BYDAY=MO,TU,WE,TH,FR',
      'SUMMARY:Stand-up',
      BO,
    ),
  );
  expect(starts(readAppointments(text, { from: '2026-11-23', to: '2026-11-29' }))).toEqual(
    [23, 24, 25, 26, 27].map((day) => `2026-11-${day}T09:00:00.000Z`),
  );
});

test('nobody else, those who declined, what is cancelled: left out', () => {
  const text = calendar(
    event('UID:1', 'DTSTART:20261125T100000Z', 'DTEND:20261125T110000Z', 'SUMMARY:Alone'),
    event(
      'UID:2',
      'DTSTART:20261125T100000Z',
      'DTEND:20261125T110000Z',
      'ATTENDEE;PARTSTAT=DECLINED:mailto:no@example.org',
    ),
    event('UID:3', 'DTSTART:20261125T100000Z', 'DTEND:20261125T110000Z', 'STATUS:CANCELLED', BO),
    event('UID:4', 'DTSTART;VALUE=DATE:20261125', 'SUMMARY:The whole day', BO),
  );
  const found = readAppointments(text, all);
  expect(found.map(({ title }) => title)).toEqual(['The whole day']);
  expect(found[0]?.start).toEqual({ day: '2026-11-25' });
});

test('what is no calendar is refused', () => expect(() => readAppointments('hello', all)).toThrow());

const matcher: TalkMatcher = {
  own: new Set(['me@example.org']),
  uidsOf: (address) => (address === 'bo@example.org' ? ['bo'] : []),
  toOwnMoment: (ms) => ({
    day: new Date(ms).toISOString().slice(0, 10),
    time: new Date(ms).toISOString().slice(11, 16),
  }),
  intake: 'x',
};

test('what is over is a talk, what is to come an appointment, and those with nobody known are neither', () => {
  const people = [
    { name: '', address: 'BO@example.org' },
    { name: '', address: 'me@example.org' },
  ];
  const one = (id: string, atMs: number, who = people): Appointment => ({
    ...{ id, title: 'Rehearsal', place: '', start: { atMs }, minutes: 60, people: who },
  });
  const { talks, meetings } = appointmentTalks(
    [
      one('past', Date.parse('2026-11-20T09:30:00Z')),
      one('next', Date.parse('2026-12-01T09:30:00Z')),
      one('strangers', Date.parse('2026-11-20T09:30:00Z'), [{ name: '', address: 'x@example.org' }]),
    ],
    matcher,
    '2026-11-25',
  );
  expect(talks).toEqual([
    expect.objectContaining({
      kind: 'meeting',
      direction: 'both',
      day: '2026-11-20',
      time: '09:30',
      with: ['bo'],
      about: 'Rehearsal',
    }),
  ]);
  expect(meetings).toEqual([
    expect.objectContaining({
      uids: ['bo'],
      meeting: { title: 'Rehearsal', day: '2026-12-01', time: '09:30', minutes: 60 },
    }),
  ]);
});
