/** What encloses the fields of one act: a sheet, or a part of a page that is marked so. */
const FORM = '[role="dialog"], [data-form]';

/** Marks a part of a page as a form: Enter in its fields does its next act, as in a sheet. */
export const isForm = { dataSet: { form: '' } } as object;

/** Enter in a line of a form presses its next act, where that can be done. @param field - where it was pressed */
export function pressNext(field: unknown): void {
  if (!(field instanceof HTMLElement)) return;
  const act = field.closest(FORM)?.querySelector<HTMLElement>('[data-next]');
  if (act?.getAttribute('aria-disabled') !== 'true') act?.click();
}
