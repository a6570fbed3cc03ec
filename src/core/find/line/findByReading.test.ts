import { generateBook } from '@/demo';

import { findCards } from '../search/findCards';
import { SearchIndex } from '../search/searchIndex';
import { toSearchDoc } from '../search/toSearchDoc';
import { findByReading, saysMore } from './findByReading';
import { NamesOfBook } from './lineBook';
import { understandLine } from './understandLine';

const today = '2026-11-25';
const cards = generateBook(today);
const index = new SearchIndex();
for (const card of cards) index.add(toSearchDoc(card, 'GB'));
const book = new NamesOfBook(cards);

function search(text: string) {
  const reading = understandLine(text, { book, today }).find(({ need }) => need === 'find');
  const found = findCards(index, text, { limit: 30, today });
  return { reading, says: reading !== undefined && saysMore(reading, found, text) };
}

test.each([
  ['never met but written to', true],
  ['violinists in germany', true],
  ['closest first', true],
  ['ada', false],
  ['lowther ada', false],
  // What limits are written in says as much already.
  ['without mail', false],
  ['birthday in december', false],
])('“%s”: a reading says more than the written limits: %s', (text, isMore) => {
  expect([text, search(text).says]).toEqual([text, isMore]);
});

test('a role alone is a word like any other, and with another it is a limit', () => {
  expect(search('tuner').says).toBe(false);
  expect(search('tuner in gdynia').says).toBe(true);
});

test('what a reading finds is what its limits are true of, in its order', () => {
  const { reading } = search('birthday in december');
  const hits = reading ? findByReading(index, reading, { limit: 50, today }) : [];
  expect(hits.length).toBeGreaterThan(0);
  for (const { uid } of hits) {
    const card = cards.find((one) => one.uid === uid);
    const months = Object.values(card?.anniversaries ?? {}).map(({ date }) => 'month' in date && date.month);
    expect(months).toContain(12);
  }
});
