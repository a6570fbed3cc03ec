import { foldedWords, foldText, parseTypedDate } from '@/core/base';
import { startsWithTitle } from '@/core/card';

import { type Column, type FieldId, FIELDS, formatHeading } from './columns';
import { contextOfHeading, matchHeading } from './matchHeading';
import { JUDGED_ROWS, type Table } from './readTable';

const SHOWN_AS = foldText(formatHeading({ field: 'full', label: '', number: 1 }));

/** A column is taken for what this share of its cells looks like. */
const MOST = 0.7;

/**
 * What each column of a table says of a card: by its heading, else by its contents; a column that is neither becomes
 * a custom field under its heading, so that nothing is lost.
 *
 * @returns one for each column of the table
 */
export function guessColumns(table: Table): Column[] {
  const width = table.headings?.length ?? Math.max(0, ...table.rows.map(({ cells }) => cells.length));
  const guesses = Array.from({ length: width }, (_, i) => guessColumn(table, i));
  // Our own tables say exactly what they mean.
  const isOurs = table.headings?.some((heading) => foldText(heading) === SHOWN_AS) === true;
  return numberColumns(isOurs ? guesses : settleNames(settleTitles(guesses, table)), table.headings);
}

function guessColumn(table: Table, at: number): Column {
  const heading = table.headings?.[at] ?? '';
  const matched = heading === '' ? undefined : matchHeading(heading);
  if (matched) return matched;
  const field = fieldOfContents(cellsOf(table, at));
  if (field === 'none' && heading !== '') return { field: 'own', label: heading, number: 1 };
  return { field, label: contextOfHeading(heading) ?? '', number: 1 };
}

function cellsOf({ rows }: Table, at: number): string[] {
  const cells: string[] = [];
  for (const { cells: row } of rows.slice(0, JUDGED_ROWS)) {
    const cell = row[at]?.trim();
    if (cell) cells.push(cell);
  }
  return cells;
}

/** What cells look like; an empty column is left out, and one of any other text under no heading becomes a note. */
function fieldOfContents(cells: readonly string[]): FieldId {
  if (cells.length === 0) return 'none';
  const looks = [
    ['mail', (cell: string) => /^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(cell)],
    ['web', (cell: string) => /^(https?:\/\/|www\.)\S+$/i.test(cell)],
    ['birthday', (cell: string) => /\d/.test(cell) && cell.length > 4 && parseTypedDate(cell) !== undefined],
    ['phone', (cell: string) => /^[+(]?[\d\s()./–-]{6,}$/.test(cell) && cell.replace(/\D/g, '').length >= 6],
    ['full', (cell: string) => /^\p{Lu}[\p{L}.'’-]*(\s+[\p{L}.'’-]+){1,4}$/u.test(cell)],
  ] as const;
  const found = looks.find(([, test]) => cells.filter(test).length >= cells.length * MOST);
  return found?.[0] ?? 'none';
}

/** Headings that some write over forms of address and others over posts, folded. */
const TITLE_OR_POST = new Set(['title', 'titel', 'titre', 'titulo', 'titolo', 'tytul']);

/** "Title" is what most cells below it are: forms of address and degrees before a name, or else the post. */
function settleTitles(columns: readonly Column[], table: Table): Column[] {
  return columns.map((column, i) => {
    const heading = foldedWords(table.headings?.[i] ?? '').join(' ');
    if (column.field !== 'title' || !TITLE_OR_POST.has(heading)) return column;
    const cells = cellsOf(table, i);
    const isPost = cells.filter(startsWithTitle).length * 2 < cells.length;
    return isPost ? { ...column, field: 'post' } : column;
  });
}

/** "Name" beside "First name" is the surname; "Nombre" and "Nome" beside nothing else are the whole name. */
function settleNames(columns: readonly Column[]): Column[] {
  const has = (field: FieldId) => columns.some((column) => column.field === field);
  return columns.map((column) => {
    if (column.field === 'full' && has('given') && !has('surname')) return { ...column, field: 'surname' };
    if (column.field === 'given' && !has('surname') && !has('full') && !has('given2'))
      return { ...column, field: 'full' };
    return column;
  });
}

/** Columns that say the same are numbered; where a card has room for one only, the others become own fields. */
function numberColumns(columns: readonly Column[], headings: readonly string[] | undefined): Column[] {
  const taken = new Set<string>();
  return columns.map((column, i) => {
    let wish = column;
    const isMany = FIELDS.find(({ id }) => id === wish.field)?.many === true;
    if (column.field === 'none') return column;
    if (!isMany && taken.has(formatHeading(wish)))
      wish = { field: 'own', label: headings?.[i] || formatHeading(wish), number: 1 };
    while (taken.has(formatHeading(wish))) wish = { ...wish, number: wish.number + 1 };
    taken.add(formatHeading(wish));
    return wish;
  });
}
