import Papa from 'papaparse';

/**
 * Cells as tab-separated text, the form in which tables are copied (IANA text/tab-separated-values; quotes around cells
 * with tabs, quotes or line breaks in them are common practice).
 */
export function writeTsv(rows: readonly (readonly string[])[]): string {
  return Papa.unparse(rows as string[][], { delimiter: '\t', newline: '\n' });
}

/** Tab-separated text as cells; a line break at the end makes no row of its own. */
export function readTsv(text: string): string[][] {
  const body = text.replace(/\r\n?/g, '\n').replace(/\n$/, '');
  // One copied cell that begins with a quote really contains that quote.
  if (!/[\t\n]/.test(body) && !/^".*"$/s.test(body)) return [[body]];
  return Papa.parse<string[]>(body, { delimiter: '\t', newline: '\n' }).data;
}
