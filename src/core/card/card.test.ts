import { daysInMonth, formatPartialDate, isRealDate } from '@/core/base';

import { formatAddress } from './formatAddress';
import { nextId } from './nextId';
import { parseCard } from './parseCard';

// RFC 9553 §2 and Figures; the smallest card there is.
test('RFC 9553 §2.1: a card needs @type, version and uid', () => {
  const card = { '@type': 'Card', version: '1.0', uid: '22B2C7DF-9120-4969-8460-05956FE6B065' };
  expect(parseCard(card)).toEqual({ kind: 'card', card });
  for (const key of Object.keys(card)) {
    expect(parseCard({ ...card, [key]: undefined })).toMatchObject({
      kind: 'fault',
      message: expect.stringContaining(key) as string,
    });
  }
});

test('RFC 9553 §1.7: unknown properties and values are kept', () => {
  const card = {
    '@type': 'Card',
    version: '1.0',
    uid: 'x',
    'example.com:customprop': { a: 1 },
    phones: { p1: { number: '1', 'example.com:other': true, features: { 'example.com:hologram': true } } },
  };
  expect(parseCard(card)).toEqual({ kind: 'card', card });
});

const faults = [
  { name: 'an id with a space', value: { phones: { 'a b': { number: '1' } } }, place: 'phones' },
  { name: 'a phone without number', value: { phones: { p1: {} } }, place: 'phones/p1/number' },
  {
    name: 'a preference of 0',
    value: { emails: { e1: { address: 'x', pref: 0 } } },
    place: 'emails/e1/pref',
  },
  {
    name: 'a day without month',
    value: { anniversaries: { d1: { kind: 'birth', date: { year: 1, day: 1 } } } },
    place: 'anniversaries',
  },
  { name: 'a set with false', value: { keywords: { a: false } }, place: 'keywords/a' },
  { name: 'a created that is no UTC date-time', value: { created: '2010-10-10' }, place: 'created' },
];
for (const { name, value, place } of faults) {
  test(`${name} is refused, with its place`, () => {
    const result = parseCard({ '@type': 'Card', version: '1.0', uid: 'x', ...value });
    expect(result.kind === 'fault' && result.message.startsWith(place)).toBe(true);
  });
}

test('the Gregorian leap rule: 2000 and 2024 yes, 1900 and 2023 no', () => {
  expect([2000, 2024, 1900, 2023].map((year) => daysInMonth(2, year))).toEqual([29, 29, 28, 28]);
  expect(isRealDate({ month: 2, day: 29 })).toBe(true);
  expect(isRealDate({ year: 2023, month: 2, day: 29 })).toBe(false);
  expect(isRealDate({ day: 3 })).toBe(false);
});

test('partial dates read in words (CLDR, en-GB)', () => {
  const words = [
    { month: 2, day: 3 },
    { year: 1968, month: 2, day: 3 },
    { year: 1968, month: 2 },
    { year: 1968 },
    { month: 2, day: 29 },
  ];
  expect(words.map((date) => formatPartialDate(date, 'en-GB'))).toEqual([
    '3 February',
    '3 February 1968',
    'February 1968',
    '1968',
    '29 February',
  ]);
});

test('addresses are laid out as their country does', () => {
  const components = [
    { kind: 'number', value: '7' },
    { kind: 'name', value: 'Hafenstraße' },
    { kind: 'locality', value: 'Husum' },
    { kind: 'postcode', value: '25813' },
  ];
  expect(formatAddress({ components, countryCode: 'DE' })).toEqual(['Hafenstraße 7', '25813 Husum']);
  expect(formatAddress({ components, countryCode: 'GB' })).toEqual(['7 Hafenstraße', 'Husum 25813']);
  expect(formatAddress({ components, full: 'Pier 1\nHusum' })).toEqual(['Pier 1', 'Husum']);
  expect(formatAddress({})).toEqual([]);
});

test('a new id is the next of its sequence and never one in use', () => {
  expect([nextId('phones'), nextId('phones', { p1: {} }), nextId('phones', { p2: {} })]).toEqual([
    'p1',
    'p2',
    'p3',
  ]);
});
