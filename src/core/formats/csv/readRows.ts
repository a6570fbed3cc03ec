import { type FigureOrder, parseTypedDate } from '@/core/base';
import type { Card } from '@/core/card';

import type { Problem, ReadResult } from '../format/format';
import { uidFromText } from '../properties/uidFromText';
import { buildCard } from './buildCard';
import type { Column } from './columns';
import type { Table, TableRow } from './readTable';

/** How rows are read. */
export interface RowOptions {
  /** How 3/2 is read; undefined lets the column's own figures tell, day first where they don't. */
  readonly dateOrder?: FigureOrder;
  readonly onProgress?: ((share01: number, cards: number) => void) | undefined;
}

/** How many rows are read between two reports of progress. */
const REPORT_EVERY = 500;

/**
 * Reads the rows of a table as cards. A value that can't be read stays as a field of its own under its heading, and is
 * reported with its line. The same row always gives the same uid, unless a column says it.
 *
 * @param columns - one for each column of the table
 */
export function readRows(table: Table, columns: readonly Column[], options: RowOptions = {}): ReadResult {
  const cards: Card[] = [];
  const problems: Problem[] = [...table.problems];
  const orders = columns.map((column, at) => options.dateOrder ?? guessOrder(table, column, at));
  for (const [i, row] of table.rows.entries()) {
    const built = buildCard(row, columns, orders, uidOfRow(table, row));
    if (built.card) cards.push(built.card);
    problems.push(...built.problems);
    if ((i + 1) % REPORT_EVERY === 0) options.onProgress?.((i + 1) / table.rows.length, cards.length);
  }
  options.onProgress?.(1, cards.length);
  return { cards, problems };
}

function uidOfRow({ headings = [] }: Table, { cells }: TableRow): string {
  return uidFromText(JSON.stringify(cells.map((cell, i) => [headings[i] ?? '', cell.trim()])));
}

const DAY_FIELDS = new Set(['birthday', 'wedding', 'death', 'day']);

/** A figure above 12 in the first or the second place tells which of them is the day, for the whole column. */
function guessOrder({ rows }: Table, { field }: Column, at: number): FigureOrder {
  if (!DAY_FIELDS.has(field)) return 'day-first';
  const isUnreadable = (order: FigureOrder) =>
    rows.filter(({ cells }) => {
      const cell = cells[at]?.trim() ?? '';
      return cell !== '' && parseTypedDate(cell, order) === undefined;
    }).length;
  return isUnreadable('month-first') < isUnreadable('day-first') ? 'month-first' : 'day-first';
}
