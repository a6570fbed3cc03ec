import { expose } from 'comlink';
import { unzipSync, zipSync } from 'fflate';

import { errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import {
  type BackupContents,
  csvHeadings,
  findFormat,
  formatHeading,
  getFormat,
  guessColumns,
  type Invitation,
  parseHeading,
  type Problem,
  readBackup,
  readRows,
  readTable,
  type RestoredBackup,
  writeBackup,
  writeInvitation,
  type WriteOptions,
} from '@/core/formats';
import { texts } from '@/texts/book/workers';

import { type UnpackedFile, unpackFile } from './unpackFile';

/** Called with the progress, 0 to 1, and the number of cards done. */
export type Progress = (share01: number, cards: number) => void;

/** Takes cards in batches, so that the page is never blocked by a whole book. */
export type CardSink = (cards: readonly Card[]) => void;

/** What a table turned out to be; the page shows it so that its columns can be matched by hand. */
export interface TableInfo {
  readonly headings: readonly string[];
  /** Of each column the first values that are there. */
  readonly samples: readonly (readonly string[])[];
  /** What each column says of a card, as headings of our own tables. */
  readonly columns: readonly string[];
  readonly rows: number;
}

/** What was in a file, beside its cards. */
export interface FileReport {
  readonly formatLabel: string;
  readonly problems: readonly Problem[];
  readonly table?: TableInfo;
}

/** What the user chose for a file that is written. */
export type WriteChoices = Pick<WriteOptions, 'columns' | 'extensions' | 'leapDay'>;

/** What the page may ask of the worker that reads and writes files. */
export interface FilesApi {
  unpack(name: string, bytes: Uint8Array): UnpackedFile[];
  read(
    bytes: Uint8Array,
    columns: readonly string[] | undefined,
    onCards: CardSink,
    onProgress: Progress,
  ): Promise<FileReport>;
  headings(cards: readonly Card[]): string[];
  writeBackup(contents: BackupContents): Promise<Uint8Array>;
  readBackup(bytes: Uint8Array): Promise<RestoredBackup | { readonly fault: string }>;
  writeInvitation(invitation: Invitation): string;
  write(cards: readonly Card[], formatId: string, options: WriteChoices, onProgress: Progress): string;
}

/** Cards handed over per batch. */
const BATCH = 250;
/** Values of a column that are shown. */
const SAMPLES = 3;

const api: FilesApi = {
  unpack: unpackFile,
  read: async (bytes, columns, onCards, onProgress) => {
    const { cards, ...report } = readFile(bytes, columns, onProgress);
    // Awaited, so that the page takes one batch in before the next comes.
    for (let start = 0; start < cards.length; start += BATCH)
      await onCards(cards.slice(start, start + BATCH));
    return report;
  },
  headings: csvHeadings,
  writeBackup: async (contents) =>
    zipSync(await writeBackup(contents, sha256), { mtime: contents.made.slice(0, 10) }),
  readBackup: async (bytes) => {
    try {
      return await readBackup(unzipSync(bytes), sha256);
    } catch (error) {
      return {
        fault: texts.itIsNoArchive(errorMessage(error)),
      };
    }
  },
  writeInvitation,
  write: (cards, formatId, options, onProgress) => {
    const format = getFormat(formatId);
    if (!format) throw new RangeError(`there is no format ${formatId}`);
    return format.write(cards, { ...options, onProgress });
  },
};
expose(api);

async function sha256(bytes: Uint8Array): Promise<string> {
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as Uint8Array<ArrayBuffer>));
  return Array.from(hash, (byte) => byte.toString(16).padStart(2, '0')).join('');
}

function readFile(
  bytes: Uint8Array,
  columns: readonly string[] | undefined,
  onProgress: Progress,
): FileReport & { readonly cards: readonly Card[] } {
  const format = findFormat(bytes);
  if (columns || format?.id === 'csv') return readAsTable(bytes, columns, onProgress);
  if (!format) {
    const message = texts.noCardsWereFound;
    const problem: Problem = { code: 'not-this-format', line: 0, message };
    return { cards: [], problems: [problem], formatLabel: 'unknown' };
  }
  return { ...format.read(bytes, { onProgress }), formatLabel: format.label };
}

function readAsTable(bytes: Uint8Array, wished: readonly string[] | undefined, onProgress: Progress) {
  const table = readTable(bytes);
  const guessed = guessColumns(table);
  const columns = guessed.map((guess, i) => parseHeading(wished?.[i] ?? '') ?? guess);
  const samples = columns.map((_, at) =>
    table.rows
      .map(({ cells }) => cells[at]?.trim() ?? '')
      .filter(Boolean)
      .slice(0, SAMPLES),
  );
  const info: TableInfo = {
    headings: columns.map((_, i) => table.headings?.[i] ?? ''),
    samples,
    columns: columns.map(formatHeading),
    rows: table.rows.length,
  };
  return { ...readRows(table, columns, { onProgress }), formatLabel: texts.tableCsv, table: info };
}
