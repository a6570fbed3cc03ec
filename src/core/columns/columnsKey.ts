import { foldText, hashText } from '../text';

/** What a table's headings are remembered by: the same headings in the same order give the same. */
export function columnsKey(headings: readonly string[]): string {
  return hashText(headings.map((heading) => foldText(heading).trim()).join('\n'));
}
