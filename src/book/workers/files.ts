import { expose } from 'comlink';

import type { Card } from '@/core/card';
import {
  type BackupSinks,
  type BackupSummary,
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
  writeBackup,
  writeInvitation,
  type WriteOptions,
} from '@/core/formats';
import type { Talk } from '@/core/talks';
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

/** Where the worker that packs a book gets it from, piece by piece; undefined at the end. */
export interface BackupSource {
  cards(): Promise<readonly Card[] | undefined>;
  talks(): Promise<readonly Talk[] | undefined>;
}

/** What the page may ask of the worker that reads and writes files. */
export interface FilesApi {
  unpack(name: string, bytes: Uint8Array): UnpackedFile[];
  read(
    bytes: Uint8Array,
    columns: readonly string[] | undefined,
    onCards: CardSink,
    onProgress: Progress,
  ): Promise<FileReport>;
  /** Hands over some of the cards for `headings` and `write`, so that the page never hands all of them at once. */
  add(cards: readonly Card[]): void;
  headings(): string[];
  /** @returns the archive */
  writeBackup(source: BackupSource, settings: object, made: string): Promise<Blob>;
  readBackup(file: Blob, sinks: BackupSinks): Promise<BackupSummary | { readonly fault: string }>;
  writeInvitation(invitation: Invitation): string;
  /** @returns the file, in UTF-8 */
  write(formatId: string, options: WriteChoices, onProgress: Progress): Blob;
}

/** Cards handed over per batch. */
const BATCH = 250;
/** Octets of an archive that are put away together: a file of many small parts takes its time to be handed out. */
const PART_SIZE = 4_000_000;
/** Values of a column that are shown. */
const SAMPLES = 3;

/** The cards handed over; a worker does one piece of work. */
const toWrite: Card[] = [];

const api: FilesApi = {
  unpack: unpackFile,
  read: async (bytes, columns, onCards, onProgress) => {
    const { cards, ...report } = readFile(bytes, columns, onProgress);
    // Awaited, so that the page takes one batch in before the next comes.
    for (let start = 0; start < cards.length; start += BATCH)
      await onCards(cards.slice(start, start + BATCH));
    return report;
  },
  add: (cards) => {
    toWrite.push(...cards);
  },
  headings: () => csvHeadings(toWrite),
  writeBackup: async (source, settings, made) => {
    const parts: Blob[] = [];
    let chunks: BlobPart[] = [];
    let size = 0;
    // What has been packed needn't stay in memory: a browser puts large blobs on the disk.
    const putAway = () => {
      parts.push(new Blob(chunks));
      [chunks, size] = [[], 0];
    };
    await writeBackup(
      { cards: piecesOf(() => source.cards()), talks: piecesOf(() => source.talks()), settings, made },
      (bytes) => {
        chunks.push(bytes as BlobPart);
        size += bytes.length;
        if (size > PART_SIZE) putAway();
      },
    );
    putAway();
    return new Blob(parts, { type: 'application/zip' });
  },
  readBackup: (file, sinks) =>
    readBackup(
      {
        size: file.size,
        read: async (from, to) => new Uint8Array(await file.slice(from, to).arrayBuffer()),
      },
      sinks,
    ),
  writeInvitation,
  write: (formatId, options, onProgress) => {
    const format = getFormat(formatId);
    if (!format) throw new RangeError(`there is no format ${formatId}`);
    return new Blob([format.write(toWrite, { ...options, onProgress })]);
  },
};
expose(api);

async function* piecesOf<T>(next: () => Promise<readonly T[] | undefined>): AsyncIterable<readonly T[]> {
  for (let piece = await next(); piece; piece = await next()) yield piece;
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
