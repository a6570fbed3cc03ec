import Papa from 'papaparse';

import { type DecodedText, decodeText } from '@/core/base';
import { texts } from '@/texts/formats/csv';

import type { Problem } from '../format/format';
import { matchHeading } from './matchHeading';

/** A file as rows and columns, all of it found out from the bytes alone. */
export interface Table {
  readonly encoding: DecodedText['encoding'];
  readonly delimiter: string;
  readonly quote: string;
  /** Undefined where no row heads the columns. */
  readonly headings?: readonly string[];
  readonly rows: readonly TableRow[];
  /** Lines above the headings, and faults of the syntax. */
  readonly problems: readonly Problem[];
}

/** One row under the headings. */
export interface TableRow {
  /** Its first line in the file, from 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** Rows among which the headings are looked for: some files begin with a title and a date. */
const HEADINGS_WITHIN = 12;
/** Rows by which a column is judged by its contents. */
export const JUDGED_ROWS = 200;

/**
 * Reads any table of text: its encoding, delimiter (comma, semicolon, tab, bar), quotes and row of headings are found
 * out (RFC 4180 and common practice). Empty rows are passed over.
 */
export function readTable(bytes: Uint8Array): Table {
  const decoded = decodeText(bytes);
  const text = decoded.text.replace(/^\ufeff/, '');
  const quote = guessQuote(text);
  const { rows, delimiter, problems } = parseRows(text, quote);
  const width = Math.max(0, ...rows.map(({ cells }) => cells.length));
  const at = findHeadings(rows);
  const above = rows.slice(0, Math.max(at, 0)).map(({ line, cells }): Problem => {
    const message = texts.thisLineStandsAbove;
    return { code: 'outside-card', line, message, text: cells.join(delimiter) };
  });
  const head = at === -1 ? undefined : rows[at]?.cells;
  return {
    encoding: decoded.encoding,
    delimiter,
    quote,
    ...(head ? { headings: Array.from({ length: width }, (_, i) => head[i]?.trim() ?? '') } : {}),
    rows: rows.slice(at + 1),
    problems: [...above, ...problems],
  };
}

/** Single quotes are taken for quotes only where there are no double ones and they stand around whole cells. */
function guessQuote(text: string): string {
  const head = text.slice(0, 20_000);
  if (head.includes('"')) return '"';
  const cells = head.match(/(^|[,;\t|])'[^'\n]*'(?=[,;\t|\r\n]|$)/gm) ?? [];
  return cells.length > 2 ? "'" : '"';
}

function parseRows(text: string, quote: string) {
  const rows: TableRow[] = [];
  const problems: Problem[] = [];
  let line = 1;
  let from = 0;
  const delimiter = guessDelimiter(text, quote);
  Papa.parse<string[]>(text, {
    quoteChar: quote,
    delimiter,
    step: ({ data, meta, errors }) => {
      const cells = data.map((cell) => cell.replace(/\r\n?/g, '\n'));
      if (cells.some((cell) => cell.trim() !== '')) rows.push({ line, cells });
      for (const { code } of errors) {
        if (code !== 'MissingQuotes' && code !== 'InvalidQuotes') continue;
        const message = texts.quotationMarkIsNotClosed;
        problems.push({ code: 'unreadable-value', line, message, text: text.slice(from, meta.cursor) });
      }
      line += countBreaks(text, from, meta.cursor);
      from = meta.cursor;
    },
  });
  return { rows, delimiter, problems };
}

/** The delimiter by which most headings are known; where none are, by which most rows are equally wide. */
function guessDelimiter(text: string, quote: string): string {
  const scores = [',', ';', '\t', '|'].map((delimiter) => {
    const { data } = Papa.parse<string[]>(text.slice(0, 20_000), {
      quoteChar: quote,
      delimiter,
      preview: 20,
    });
    const rows = data.filter((cells) => cells.some((cell) => cell.trim() !== ''));
    const known = Math.max(0, ...rows.slice(0, HEADINGS_WITHIN).map(countKnown));
    const width = rows.at(-1)?.length ?? 0;
    const even = rows.filter((cells) => cells.length === width).length / Math.max(1, rows.length);
    return { delimiter, score: known * 10 + (width > 1 ? even : 0) };
  });
  return scores.reduce((best, one) => (one.score > best.score ? one : best)).delimiter;
}

/** How many cells of a row are headings that we know. */
function countKnown(cells: readonly string[]): number {
  return cells.filter((cell) => cell.trim() !== '' && cell.length < 60 && matchHeading(cell) !== undefined)
    .length;
}

function countBreaks(text: string, from: number, to: number): number {
  let count = 0;
  for (let i = from; i < to; i += 1) {
    const code = text.charCodeAt(i);
    if (code === 10 || (code === 13 && text.charCodeAt(i + 1) !== 10)) count += 1;
  }
  return count;
}

/** The place of the row of headings; -1 where there is none. */
function findHeadings(rows: readonly TableRow[]): number {
  let best = { at: -1, score: 0 };
  for (const [at, { cells }] of rows.slice(0, HEADINGS_WITHIN).entries()) {
    const filled = cells.filter((cell) => cell.trim() !== '');
    const known = countKnown(filled);
    const isEnough = known >= 2 || (known === 1 && filled.length === 1);
    if (isEnough && known > best.score) best = { at, score: known };
  }
  return best.at === -1 && hasForeignHeadings(rows) ? 0 : best.at;
}

/** A first row of words over columns of figures and addresses heads them, though in a language we don't know. */
function hasForeignHeadings(rows: readonly TableRow[]): boolean {
  const [head, ...rest] = rows;
  if (!head || rest.length === 0) return false;
  const isWordy = (cell: string) => cell.trim() !== '' && !/[\d@]/.test(cell);
  const isFigures = (cell: string) => /[\d@]/.test(cell);
  const isDistinct = new Set(head.cells).size === head.cells.length;
  const typed = head.cells.filter((_, i) => {
    const below = rest.slice(0, JUDGED_ROWS).flatMap(({ cells }) => (cells[i]?.trim() ? [cells[i]] : []));
    return below.length > 0 && below.filter(isFigures).length > below.length * 0.8;
  });
  return isDistinct && head.cells.every(isWordy) && typed.length > 0;
}
