import { readFileSync } from 'node:fs';
import path from 'node:path';

import { newCard } from '@/core/card';

import { extractCard } from './extractCard';
import { readMarkedTexts } from './markedTexts';
import { readSamples, valuesOf } from './sampleValues';

// Texts of our own, all invented; what stands in each was written down by hand.
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'pt', 'sv', 'ja', 'zh'];
const fileOf = (name: string) => readFileSync(path.join(__dirname, 'samples', `${name}.txt`), 'utf8');
const samples = LANGUAGES.flatMap((language) => readSamples(language, fileOf(language)));
/** The first was worked with; the others were read once before anything was changed for them (see the decision). */
const SETS = [
  'worked',
  ...['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'],
];
const marked = SETS.flatMap((set) => readMarkedTexts(fileOf(set)));
const languageOf = ({ name }: { name: string }) => name.split(' ')[0] ?? '';
const MORE_LANGUAGES = [...new Set(marked.map(languageOf))];

/** A comma before a degree says nothing. */
const plain = (value: string) => value.replace(/^name: .*/, (name) => name.replaceAll(',', ''));

/** Values found rightly, found wrongly, and missed. */
function countsOf(some: typeof samples): { right: number; wrong: number; missed: number; faults: string[] } {
  const counts = { right: 0, wrong: 0, missed: 0, faults: [] as string[] };
  for (const { name, text, country, values } of some) {
    const { card } = extractCard(text, newCard('x', '2026-01-01T00:00:00Z'), country ? { country } : {});
    const [found, wanted] = [new Set(valuesOf(card).map(plain)), new Set(values.map(plain))];
    const wrong = [...found].filter((value) => !wanted.has(value));
    const missed = [...wanted].filter((value) => !found.has(value));
    counts.right += wanted.size - missed.length;
    counts.wrong += wrong.length;
    counts.missed += missed.length;
    counts.faults.push(
      ...wrong.map((value) => `${name} + ${value}`),
      ...missed.map((value) => `${name} - ${value}`),
    );
  }
  return counts;
}

function expectF1(some: typeof samples, least: number): void {
  const { right, wrong, missed, faults } = countsOf(some);
  const f1 = (2 * right) / (2 * right + wrong + missed);
  // The faults are named where it is too low.
  expect({ f1: f1 >= least, faults: f1 >= least ? [] : faults }).toEqual({ f1: true, faults: [] });
}

test('there are three hundred texts and more, in twenty languages and more', () => {
  expect(samples.length + marked.length).toBeGreaterThanOrEqual(300);
  expect(MORE_LANGUAGES.length).toBeGreaterThanOrEqual(20);
});

test.each(LANGUAGES)('F1 over the values of texts in %s is 0.95 or more', (language) =>
  expectF1(
    samples.filter((sample) => languageOf(sample) === language),
    0.95,
  ),
);

test.each(SETS)('F1 over the values of the %s texts is 0.95 or more', (set) =>
  expectF1(readMarkedTexts(fileOf(set)), 0.95),
);

test.each(MORE_LANGUAGES)('F1 over the values of the marked texts in %s is 0.88 or more', (language) =>
  expectF1(
    marked.filter((sample) => languageOf(sample) === language),
    0.88,
  ),
);
