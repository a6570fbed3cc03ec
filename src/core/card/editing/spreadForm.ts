import { foldText } from '@/core/base';

import type { CardForm } from './cardForm';
import { BLANK_ROWS, saysSomething } from './formParts';

/** What a pasted text was found to say, by the parts of the form; how many of each. */
export type SpreadCounts = Partial<
  Record<'name' | 'work' | 'phones' | 'emails' | 'addresses' | 'links' | 'dates' | 'notes', number>
>;

/** A form with what was pasted in its proper fields, and what that was. */
export interface Spread {
  readonly form: CardForm;
  readonly counts: SpreadCounts;
  /** How many fields it takes: where it is one, there is nothing to spread. */
  readonly fields: number;
}

const LISTS = ['phones', 'emails', 'addresses', 'links', 'dates', 'notes'] as const;
type List = (typeof LISTS)[number];

/** What an entry says as it is written; '' for nothing. */
const WRITTEN: { readonly [L in List]: (entry: CardForm[L][number]) => string } = {
  phones: ({ number }) => number.trim(),
  emails: ({ address }) => address.trim(),
  addresses: ({ street, postcode, locality, region, country }) =>
    [street, postcode, locality, region, country].join(' ').trim(),
  links: ({ uri }) => uri.trim(),
  dates: ({ text }) => text.trim(),
  notes: ({ text }) => text.trim(),
};

/** By what an entry is known again: what the form has already isn't added once more. */
function keyOf(list: List, written: string): string {
  // Written with its country or without; the last eight digits tell the numbers of one book apart (common practice).
  if (list === 'phones') return written.replace(/\D/g, '').slice(-8) || written;
  if (list === 'links') return foldText(written.replace(/^https?:\/\//, '').replace(/\/$/, '')) || written;
  return foldText(written) || written;
}

/**
 * Puts what was read out of a text into the fields it belongs to. Nothing that stands in the form is changed: a name only
 * comes where there is none, entries only beside those that there are, empty ones are used up first.
 *
 * @param form - as it was before the text was pasted
 * @param read - the form of the card that was read out of it
 */
export function spreadForm(form: CardForm, read: CardForm): Spread {
  const spread: CardForm = { ...form };
  const counts: SpreadCounts = {};
  if (form.name.trim() === '' && read.name.trim() !== '') {
    Object.assign(spread, { name: read.name, parts: read.parts, kind: read.kind });
    counts.name = 1;
  }
  const work = read.work.filter((entry) => entry.organization + entry.post !== '' && !hasWork(form, entry));
  if (work.length > 0) {
    spread.work = [...form.work.filter(saysSomething), ...work];
    counts.work = work.length;
  }
  for (const list of LISTS) {
    const added = spreadList(spread, list, read);
    if (added > 0) counts[list] = added;
  }
  const fields = Object.entries(counts).reduce(
    (sum, [part, count]) => sum + (part === 'addresses' ? addressFields(read) : count),
    0,
  );
  return { form: spread, counts, fields };
}

/** Adds the entries of one collection; gives how many. */
function spreadList<L extends List>(form: CardForm, list: L, read: CardForm): number {
  const written = WRITTEN[list] as (entry: CardForm[L][number]) => string;
  const had = (form[list] as CardForm[L][number][]).filter(saysSomething);
  const known = new Set(had.map((entry) => keyOf(list, written(entry))));
  const added = (read[list] as CardForm[L][number][]).filter((entry) => {
    const key = keyOf(list, written(entry));
    const isNew = written(entry) !== '' && !known.has(key);
    known.add(key);
    return isNew;
  });
  if (added.length === 0) return 0;
  // The label as read; the ids are given by the book when the card is saved.
  const entries = added.map((entry, i) => ({ ...BLANK_ROWS[list], ...entry, id: `new-spread-${list}-${i}` }));
  Object.assign(form, { [list]: [...had, ...entries] });
  return added.length;
}

/** Whether the form says already that somebody works there. */
function hasWork(form: CardForm, { organization, post }: CardForm['work'][number]): boolean {
  return form.work.some(
    (entry) =>
      foldText(entry.organization) === foldText(organization) && foldText(entry.post) === foldText(post),
  );
}

/** An address that came in one line takes as many fields as it has parts. */
function addressFields({ addresses }: CardForm): number {
  return addresses.reduce(
    (sum, { street, postcode, locality, region, country }) =>
      sum + [street, postcode, locality, region, country].filter((text) => text !== '').length,
    0,
  );
}
