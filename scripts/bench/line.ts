// npm run bench -- line: how long a key press takes while a sentence is typed into the line: what it can mean and what
// it finds; and beside it what helps with it after a pause. Prints one JSON value.
import { readFileSync } from 'node:fs';

import {
  completeLine,
  findByReading,
  findCards,
  NamesOfBook,
  partsOf,
  saysMore,
  SearchIndex,
  toSearchDoc,
  understandLine,
} from '@/core/find';
import { generateLargeBook } from '@/demo';

/** Each sentence is one of these lines up to the bar. */
const FILES = ['sentences', 'later'].map((name) => `src/core/find/line/${name}.txt`);
const EACH = 3;
const LIMIT = 30;
const today = '2026-11-25';

const sentences = FILES.flatMap((file) =>
  readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((line) => (line.includes(' | ') && !line.startsWith('#') ? line.split(' | ').slice(0, 1) : [])),
).filter((_, i) => i % EACH === 0);
const lines = sentences.flatMap((text) => Array.from(text, (_, i) => text.slice(0, i + 1)));

function measure(size: number) {
  const cards = generateLargeBook(size);
  const book = new NamesOfBook(cards);
  const index = new SearchIndex();
  for (const card of cards) index.add(toSearchDoc(card, 'GB'));
  const used = cards.slice(0, 20).map(({ uid }) => uid);
  const context = { book, today };
  const [keys, help]: [number[], number[]] = [[], []];
  for (const text of lines) {
    const begun = performance.now();
    const readings = understandLine(text, context);
    const reading = readings.find(({ need }) => need === 'find');
    const found = findCards(index, text, { limit: LIMIT, today });
    if (reading && saysMore(reading, found, text)) findByReading(index, reading, { limit: LIMIT, today });
    const read = performance.now();
    if (readings[0]) partsOf(text, readings[0], context);
    completeLine(text, context, used);
    keys.push(read - begun);
    help.push(performance.now() - read);
  }
  return { size, keyPresses: lines.length, key: figures(keys), help: figures(help) };
}

function figures(ms: number[]) {
  ms.sort((a, b) => a - b);
  const at = (share: number) => Number((ms[Math.floor(ms.length * share)] ?? 0).toFixed(2));
  return { medianMs: at(0.5), p95Ms: at(0.95), maxMs: at(0.9999) };
}

console.log(JSON.stringify([measure(11_000), measure(100_000)]));
