import { readFileSync } from 'node:fs';
import path from 'node:path';

import { newCard } from '@/core/card';

import { extractCard } from './extractCard';
import { readSamples, valuesOf } from './sampleValues';

// Texts of our own, all invented; what stands in each was written down by hand.
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'pt', 'sv', 'ja', 'zh'];
const samples = LANGUAGES.flatMap((language) =>
  readSamples(language, readFileSync(path.join(__dirname, 'samples', `${language}.txt`), 'utf8')),
);

/** Values found rightly, found wrongly, and missed. */
function countsOf(some: typeof samples): { right: number; wrong: number; missed: number; faults: string[] } {
  const counts = { right: 0, wrong: 0, missed: 0, faults: [] as string[] };
  for (const { name, text, country, values } of some) {
    const { card } = extractCard(text, newCard('x', '2026-01-01T00:00:00Z'), country ? { country } : {});
    const [found, wanted] = [new Set(valuesOf(card)), new Set(values)];
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

test('there are a hundred texts and more', () => expect(samples.length).toBeGreaterThanOrEqual(100));

test.each(LANGUAGES)('F1 over the values of texts in %s is 0.95 or more', (language) => {
  const { right, wrong, missed, faults } = countsOf(
    samples.filter(({ name }) => name.startsWith(`${language} `)),
  );
  const f1 = (2 * right) / (2 * right + wrong + missed);
  // The faults are named where it is too low.
  expect({ f1: f1 >= 0.95, faults: f1 >= 0.95 ? [] : faults }).toEqual({ f1: true, faults: [] });
});
