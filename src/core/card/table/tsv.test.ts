import fc from 'fast-check';

import { readTsv, writeTsv } from './tsv';

test('cells come back from the clipboard as they went', () => {
  const cell = fc.oneof(fc.string(), fc.constantFrom('', 'a\tb', 'two\nlines', '"quoted"', "it's", ' '));
  const rows = fc.integer({ min: 1, max: 4 }).chain((width) =>
    fc.array(
      fc.array(
        cell.map((text) => text.replace(/\r\n?/g, '\n')),
        { minLength: width, maxLength: width },
      ),
      {
        minLength: 1,
        maxLength: 5,
      },
    ),
  );
  fc.assert(
    fc.property(rows, (cells) => {
      // One empty cell and no cell at all are written the same.
      fc.pre(!(cells.at(-1)?.length === 1 && cells.at(-1)?.[0] === ''));
      expect(readTsv(writeTsv(cells))).toEqual(cells);
    }),
  );
});

test('what spreadsheets give is read: rows by line, a break at the end, quoted breaks', () => {
  expect(readTsv('Ada\tada@example.org\r\nBo\t\r\n')).toEqual([
    ['Ada', 'ada@example.org'],
    ['Bo', ''],
  ]);
  expect(readTsv('"two\nlines"\tb')).toEqual([['two\nlines', 'b']]);
  expect(readTsv('5" pipe')).toEqual([['5" pipe']]);
});
