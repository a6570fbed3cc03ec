/**
 * Tables: any CSV in, with columns matched to what a card holds; chosen columns out.
 * Standard: RFC 4180 as far as files keep to it; the rest is common practice.
 * Left out: what a cell can't hold (photos, related cards, rhythm); a table is not lossless.
 */
import type { ReadableFormat } from '../format';
import { guessColumns } from './guessColumns';
import { readRows } from './readRows';
import { readTable } from './readTable';
import { writeCsv } from './writeCsv';

export { type Column, FIELDS, type FieldId, formatHeading, parseHeading } from './columns';
export { guessColumns } from './guessColumns';
export { type RowOptions, readRows } from './readRows';
export { readTable, type Table } from './readTable';
export { csvHeadings } from './writeCsv';

/** Text with rows and columns; the least sure of all formats, as any text has lines. */
export const csv: ReadableFormat = {
  id: 'csv',
  label: 'CSV',
  mediaType: 'text/csv;charset=utf-8',
  extension: 'csv',
  isLossless: false,
  detect: (bytes) => {
    const table = readTable(bytes.subarray(0, 20_000));
    const columns = guessColumns(table);
    const isKnown = columns.some(({ field }) => field !== 'own' && field !== 'none');
    // A single column is a table only where it can't be prose.
    const isTable = columns.length > 1 || columns[0]?.field === 'mail' || columns[0]?.field === 'phone';
    return table.rows.length > 0 && isKnown && isTable ? 0.3 : 0;
  },
  read: (bytes, options) => {
    const table = readTable(bytes);
    return readRows(table, guessColumns(table), { ...(options ? { onProgress: options.onProgress } : {}) });
  },
  write: writeCsv,
};
