import type { DeviceStatus } from '@/core/sync';

import { adviceFor } from './advice';
import { describePlace, describeValue, formatMoment, standingOf } from './words';

const NOW = Date.parse('2026-11-26T12:00:00Z');
const device: DeviceStatus = {
  ...{
    name: 'Phone',
    user: 'phone',
    direction: 'both',
    scope: 'all',
    tag: null,
    lists: [],
    notes: true,
    photos: true,
  },
  ...{
    groups: false,
    isPaused: false,
    seen: '2026-11-26T11:00:00Z',
    cards: 250,
    standIn: null,
    server: null,
  },
  ...{ next: null, everyMinutes: null, photoSide: null, own: false, directory: false, syncs: [] },
};
const value = (path: string) => ({
  ...{
    id: 1,
    uid: 'ada',
    path,
    mine: '',
    mineBy: null,
    mineAt: '',
    theirs: '',
    theirsBy: null,
    theirsAt: '',
  },
});

test('a moment of today is a time, any other a day', () => {
  expect(formatMoment('2026-11-26T11:00:00Z', NOW)).toMatch(/^\d\d:\d\d$/);
  expect(formatMoment('2026-10-01T11:00:00Z', NOW)).toContain('Oct 2026');
});

test('how a device stands is said in words: never here, paused, at fault, or with how much', () => {
  expect(standingOf(device, NOW)).toMatch(/^250 cards · last \d\d:\d\d$/);
  expect(standingOf({ ...device, seen: null }, NOW)).toBe('Not synced yet');
  expect(standingOf({ ...device, isPaused: true }, NOW)).toBe('Paused');
  const syncs = [
    { id: 1, at: '2026-11-26T11:00:00Z', in: 0, out: 0, fault: 'the token is too old', undone: null },
  ];
  expect(standingOf({ ...device, syncs }, NOW)).toMatch(/^\d\d:\d\d: the token is too old$/);
});

test('what is to settle is called by our word for it, and read part by part', () => {
  expect(
    ['emails/e1/address', 'name/components', 'cordialis.example:opener'].map((path) =>
      describePlace(value(path)),
    ),
  ).toEqual(['Mail address', 'Name', 'opener']);
  const parts = [
    { kind: 'given', value: 'Ada' },
    { kind: 'surname', value: 'Ek' },
  ];
  expect([describeValue('a'), describeValue(parts), describeValue(undefined)]).toEqual([
    'a',
    'Ada Ek',
    'nothing',
  ]);
});

test.each([
  ['the server answered 401 Unauthorized', /user name and the password/],
  ['fetch failed', /Is the server on/],
  ['the phone is offline', /Switch it online/],
  ['the token is not known, or too old', /by itself/],
  ['something nobody has thought of', /tried again/],
])('what to do about “%s” is said', (fault, advice) => expect(adviceFor(fault)).toMatch(advice));
