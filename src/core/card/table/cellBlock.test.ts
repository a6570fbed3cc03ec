import { blockOf, spread } from './cellBlock';
import { compareCells } from './tableColumns';

const at = (row: number, column: number) => ({ row, column });
const size = { rows: 3, columns: 3 };

const cases = [
  {
    name: 'one cell fills all that is chosen',
    chosen: [at(0, 0), at(1, 1)],
    rows: [['x']],
    cells: '0,0x 0,1x 1,0x 1,1x',
    outside: 0,
  },
  {
    name: 'a block reaches beyond one chosen cell',
    chosen: [at(1, 1), at(1, 1)],
    rows: [
      ['a', 'b'],
      ['c', 'd'],
    ],
    cells: '1,1a 1,2b 2,1c 2,2d',
    outside: 0,
  },
  {
    name: 'a row is repeated over chosen rows',
    chosen: [at(2, 1), at(0, 0)],
    rows: [['a', 'b']],
    cells: '0,0a 0,1b 1,0a 1,1b 2,0a 2,1b',
    outside: 0,
  },
  {
    name: 'a block that does not fit goes from the first cell',
    chosen: [at(0, 0), at(2, 0)],
    rows: [['a'], ['b']],
    cells: '0,0a 1,0b',
    outside: 0,
  },
  {
    name: 'what would lie outside is counted',
    chosen: [at(2, 2), at(2, 2)],
    rows: [
      ['a', 'b'],
      ['c', 'd'],
    ],
    cells: '2,2a',
    outside: 3,
  },
  {
    name: 'short rows leave cells alone',
    chosen: [at(0, 0), at(0, 0)],
    rows: [['a', 'b'], ['c']],
    cells: '0,0a 0,1b 1,0c',
    outside: 0,
  },
];
for (const { name, chosen, rows, cells, outside } of cases) {
  test(name, () => {
    const [from = at(0, 0), to = from] = chosen;
    const result = spread(blockOf(from, to), rows, size);
    expect(result.cells.map(({ row, column, text }) => `${row},${column}${text}`).join(' ')).toBe(cells);
    expect(result.outside).toBe(outside);
  });
}

test('cells that say nothing come last both ways round', () => {
  const collator = new Intl.Collator('en');
  const sorted = (isDescending: boolean) =>
    ['b', '', 'a'].sort((a, b) => compareCells(a, b, collator, isDescending) * (isDescending ? -1 : 1));
  expect(sorted(false)).toEqual(['a', 'b', '']);
  expect(sorted(true)).toEqual(['b', 'a', '']);
});
