/**
 * The order of two cells by a collator; those that say nothing come last, whichever way round the column is.
 *
 * @param isDescending - the caller turns the answer round
 */
export function compareCells(a: string, b: string, collator: Intl.Collator, isDescending: boolean): number {
  if (a === '' || b === '') return a === b ? 0 : (a === '') === isDescending ? -1 : 1;
  return collator.compare(a, b);
}
