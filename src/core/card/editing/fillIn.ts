import type { Card } from '../schema/types';
import { type FormContext, fromForm } from './fromForm';
import { toForm } from './toForm';

/** The fields that can be filled in for many cards at once. */
export const FILL_FIELDS = ['organisation', 'department', 'post', 'languages', 'timeZone', 'own'] as const;

/** One of them. */
export type FillField = (typeof FILL_FIELDS)[number];

/** What is filled in, and where. */
export interface Filling {
  readonly field: FillField;
  readonly value: string;
  /** The name of a custom field. */
  readonly label?: string;
  /** Cards that have a value there keep it. */
  readonly onlyWhereEmpty: boolean;
}

/**
 * The card with a field filled in, as if it had been typed into its form; '' empties it. The same card where nothing
 * changes.
 */
export function fillIn(
  card: Card,
  { field, value, label = '', onlyWhereEmpty }: Filling,
  context?: FormContext,
): Card {
  const form = toForm(card, context);
  const put = (before: string, set: () => void) => {
    if (before === value || (onlyWhereEmpty && before.trim() !== '')) return card;
    set();
    return fromForm(card, form, context);
  };
  const [work] = form.work;
  switch (field) {
    case 'organisation':
      return work ? put(work.organization, () => (work.organization = value)) : card;
    case 'department':
      return work ? put(work.unit, () => (work.unit = value)) : card;
    case 'post':
      return work ? put(work.post, () => (work.post = value)) : card;
    case 'languages':
      return put(form.languages, () => (form.languages = value));
    case 'timeZone':
      return put(form.timeZone, () => (form.timeZone = value));
    case 'own': {
      const own = form.ownFields.find((one) => one.label.toLowerCase() === label.toLowerCase());
      if (own) return put(own.text, () => (own.text = value));
      return put('', () => form.ownFields.push({ id: '', isPrivate: false, label, text: value }));
    }
  }
}
