import fc from 'fast-check';

import { fitLetters } from './fitLetters';

const of = (...counts: number[]) =>
  counts.map((count, i) => ({ letter: String.fromCharCode(65 + i), count }));
const labels = (cells: readonly { label: string }[]) => cells.map(({ label }) => label);

test('letters that fit stay one by one', () => {
  expect(labels(fitLetters(of(3, 1, 2), 3))).toEqual(['A', 'B', 'C']);
});

test('the neighbours with the fewest rows share a cell', () => {
  expect(labels(fitLetters(of(9, 1, 2, 9), 3))).toEqual(['A', 'B–C', 'D']);
  expect(labels(fitLetters(of(9, 1, 2, 3, 9), 3))).toEqual(['A', 'B–D', 'E']);
});

test('however little room there is, all rows are counted, in order, in no more cells than fit', () => {
  fc.assert(
    fc.property(
      fc.array(fc.nat(50), { minLength: 1, maxLength: 60 }),
      fc.integer({ min: 0, max: 40 }),
      (counts, max) => {
        const cells = fitLetters(of(...counts), max);
        expect(cells.length).toBeLessThanOrEqual(Math.max(1, max));
        expect(cells.reduce((sum, { count }) => sum + count, 0)).toBe(
          counts.reduce((sum, count) => sum + count, 0),
        );
        expect(cells.map(({ index }) => index)).toEqual(
          [...cells.map(({ index }) => index)].sort((a, b) => a - b),
        );
        expect(cells[0]?.index).toBe(0);
      },
    ),
  );
});
