import { toPartialDate } from '@/core/base';
import { parseCard, shownAs } from '@/core/card';
import { parseTalk } from '@/core/talks';

import { generateBook, generateLargeBook, generateTalks } from '.';

const book = generateBook('2026-11-24');

test('the demo book is of the size and kind it should be', () => {
  const organisations = book.filter(({ kind }) => kind === 'org');
  expect(book.length).toBeGreaterThanOrEqual(240);
  expect(organisations.length).toBeGreaterThanOrEqual(30);
  expect(new Set(book.map(({ uid }) => uid)).size).toBe(book.length);
  const scripts = [
    'Latin',
    'Han',
    'Hiragana',
    'Hangul',
    'Cyrillic',
    'Greek',
    'Hebrew',
    'Arabic',
    'Devanagari',
    'Thai',
  ];
  const names = book.map(shownAs).join(' ');
  expect(scripts.filter((script) => !new RegExp(`\\p{Script=${script}}`, 'u').test(names))).toEqual([]);
});

test('every card is valid and every mail address one that nobody has (RFC 2606)', () => {
  for (const card of book) {
    expect(parseCard(card).kind).toBe('card');
    for (const { address } of Object.values(card.emails ?? {}))
      expect(address).toMatch(/@([\w.]+\.)?(example|example\.org)$/);
  }
});

test('the same day gives the same book, another day other dates', () => {
  expect(generateBook('2026-11-24')).toEqual(book);
  expect(generateBook('2026-12-24')).not.toEqual(book);
});

test('somebody has a birthday on each of the next thirty days', () => {
  const days = new Set(
    book
      .flatMap(({ anniversaries }) => Object.values(anniversaries ?? {}))
      .map(({ date }) => {
        const { month = 0, day = 0 } = toPartialDate(date);
        return `${month}-${day}`;
      }),
  );
  for (let i = 0; i < 30; i += 1) {
    const date = new Date(Date.UTC(2026, 10, 24 + i));
    expect(days).toContain(`${date.getUTCMonth() + 1}-${date.getUTCDate()}`);
  }
});

test('a large book has the size asked for and the same cards each time', () => {
  expect(generateLargeBook(500)).toEqual(generateLargeBook(500));
  expect(new Set(generateLargeBook(500).map(({ uid }) => uid)).size).toBe(500);
});

test('the demo’s talks are valid, lie in the two years before the day, and are with cards of the book', () => {
  const talks = generateTalks('2026-11-24');
  const uids = new Set(book.map(({ uid }) => uid));
  expect(talks.length).toBeGreaterThan(800);
  for (const talk of talks) {
    expect(parseTalk(talk)).toEqual(talk);
    expect(talk.day >= '2024-11-24' && talk.day <= '2026-11-24').toBe(true);
    expect(talk.with.every((uid) => uids.has(uid))).toBe(true);
  }
  expect(new Set(talks.map(({ id }) => id)).size).toBe(talks.length);
  expect(generateTalks('2026-11-24')).toEqual(talks);
});

test('on every day the book has the same people, leap days and the 29th of a month too', () => {
  const people = (day: string) => generateBook(day).map((card) => `${card.uid} ${shownAs(card)}`);
  const first = people('2026-11-25');
  for (const day of ['2026-11-26', '2026-12-29', '2027-02-28', '2028-02-29'])
    expect(people(day)).toEqual(first);
});
