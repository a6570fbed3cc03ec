/**
 * Tables of text: any CSV in, its columns matched to what a card holds; cards out as a table.
 * Standard: RFC 4180 as far as files keep to it; the rest is common practice.
 * Left out: what a cell can't hold (photos, related cards, rhythm); a table is not lossless.
 */
export { guessColumns } from './guessColumns';
export { type RowOptions, readRows } from './readRows';
export { readTable, type Table } from './readTable';
export { csvHeadings, writeCsv } from './writeCsv';
