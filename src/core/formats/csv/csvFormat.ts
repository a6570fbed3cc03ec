/**
 * Tables as a format of files.
 * Standard: RFC 4180 as far as files keep to it; the rest of this folder does the work. Left out: matching columns by
 * hand, which the import page does itself.
 */
import { FORMAT_FACTS } from '../format/facts';
import type { ReadableFormat } from '../format/format';
import { guessColumns } from './guessColumns';
import { readRows } from './readRows';
import { readTable } from './readTable';
import { writeCsv } from './writeCsv';

/** Text with rows and columns; the least sure of all formats, as any text has lines. */
export const csv: ReadableFormat = {
  ...FORMAT_FACTS.csv,
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
    return readRows(table, guessColumns(table), { onProgress: options?.onProgress });
  },
  write: writeCsv,
};
