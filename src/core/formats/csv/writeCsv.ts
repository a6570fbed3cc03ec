import Papa from 'papaparse';

import type { Card } from '@/core/card';

import type { WriteOptions } from '../format/format';
import { cellsOfCard } from './cells';
import { type Column, FIELDS, formatHeading } from './columns';

/** How many cards are written between two reports of progress. */
const REPORT_EVERY = 500;

/**
 * Writes cards as a table with a row of headings (RFC 4180), in UTF-8 with its mark, by which spreadsheets know it.
 * Without `columns` it has those that the cards need.
 */
export function writeCsv(cards: readonly Card[], { columns, onProgress }: WriteOptions = {}): string {
  const headings = columns ?? csvHeadings(cards);
  const rows = cards.map((card, i) => {
    const cells = new Map(cellsOfCard(card).map(({ column, value }) => [formatHeading(column), value]));
    if ((i + 1) % REPORT_EVERY === 0) onProgress?.((i + 1) / cards.length, i + 1);
    return headings.map((heading) => cells.get(heading) ?? '');
  });
  onProgress?.(1, cards.length);
  return `\ufeff${Papa.unparse([[...headings], ...rows], { newline: '\r\n' })}\r\n`;
}

/** The headings of all the columns that some cards need, in the order of FIELDS. */
export function csvHeadings(cards: readonly Card[]): string[] {
  const needed = new Map<string, Column>();
  for (const card of cards) {
    for (const { column } of cellsOfCard(card)) needed.set(formatHeading(column), column);
  }
  const place = new Map<string, number>(FIELDS.map(({ id }, i) => [id, i]));
  const addressOrder = (column: Column) =>
    FIELDS.find(({ id }) => id === column.field)?.part === 'Address'
      ? [`${column.label} ${column.number}`]
      : [];
  return [...needed.entries()]
    .sort(([, a], [, b]) => {
      const [first, second] = [addressOrder(a)[0], addressOrder(b)[0]];
      // The parts of one address stand together.
      if (first !== undefined && second !== undefined && first !== second) return first < second ? -1 : 1;
      return (
        (place.get(a.field) ?? 0) - (place.get(b.field) ?? 0) ||
        a.label.localeCompare(b.label, 'en') ||
        a.number - b.number
      );
    })
    .map(([heading]) => heading);
}
