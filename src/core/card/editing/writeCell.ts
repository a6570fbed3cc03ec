import { texts } from '@/texts/card/editing';

import { deriveName } from '../name/formatName';
import { parseName } from '../name/parseName';
import { preferredEntry } from '../preferEntry';
import type { Card } from '../schema/types';
import { type CardForm, cardFormSchema } from './cardForm';
import { BLANK_ROWS } from './formParts';
import { type FormContext, fromForm } from './fromForm';
import { PART_KINDS } from './putName';
import { toForm } from './toForm';

/** The card with the cell written, or why it can't be. */
export type CellResult = { readonly card: Card } | { readonly fault: string };

/** Prefix of the id of a custom field's column; its name in lower case follows. */
const OWN = 'own:';

/**
 * The card with one cell of the table as it was typed, '' emptying it: done through the card's form, so that it is
 * held to the same rules and everything else stays as it was. Of several numbers, addresses and the like it is the
 * preferred one that a cell shows and writes.
 *
 * @param column - the id of one of tableColumns
 * @param title - the name of a custom field that the card doesn't have yet
 */
export function writeCell(
  card: Card,
  column: string,
  text: string,
  context: FormContext & { readonly title?: string } = {},
): CellResult {
  const value = column === 'note' ? text : inOneLine(text);
  if (column === 'opener') return { card: withOpener(card, value) };
  const form = toForm(card, context);
  const faultsBefore = faultsOf(form);
  const isKnown = column.startsWith(OWN)
    ? writeOwn(form, column.slice(OWN.length), value, context.title)
    : write(card, form, column, value);
  if (!isKnown) return { fault: texts.thisColumnCantBeWritten };
  // Faults elsewhere on the card don't count against this cell.
  const fault = faultsOf(form).find((one) => !faultsBefore.includes(one));
  if (fault !== undefined) return { fault };
  return { card: fromForm(card, form, context) };
}

function faultsOf(form: CardForm): string[] {
  return cardFormSchema.safeParse(form).error?.issues.map(({ message }) => message) ?? [];
}

function withOpener(card: Card, value: string): Card {
  if (inOneLine(card['cordialis.example:opener'] ?? '') === value) return card;
  const { 'cordialis.example:opener': _, ...rest } = card;
  return value === '' ? rest : { ...rest, 'cordialis.example:opener': value };
}

/** A cell is one line; only a note may have several. */
function inOneLine(text: string): string {
  return text.replace(/\s*\n\s*/g, ' ').trim();
}

/** @returns whether there is such a column */
function write(card: Card, form: CardForm, column: string, value: string): boolean {
  switch (column) {
    case 'name':
      set(form, 'name', value);
      return true;
    case 'given':
    case 'surname':
      writeNamePart(form, column, value);
      return true;
    case 'nickname':
      set(form, 'nickname', value);
      return true;
    case 'organisation':
      set(workOf(form), 'organization', value);
      return true;
    case 'department':
      set(workOf(form), 'unit', value);
      return true;
    case 'post':
      set(workOf(form), 'post', value);
      return true;
    case 'number':
      set(rowOf(form.phones, card.phones, BLANK_ROWS.phones), 'number', value);
      return true;
    case 'mail':
      set(rowOf(form.emails, card.emails, BLANK_ROWS.emails), 'address', value);
      return true;
    case 'web':
      set(rowOf(form.links, card.links, BLANK_ROWS.links), 'uri', value);
      return true;
    case 'street':
    case 'postcode':
    case 'region':
    case 'country':
      set(rowOf(form.addresses, card.addresses, BLANK_ROWS.addresses), column, value);
      return true;
    case 'town':
      set(rowOf(form.addresses, card.addresses, BLANK_ROWS.addresses), 'locality', value);
      return true;
    case 'birthday':
      writeBirthday(card, form, value);
      return true;
    case 'languages':
      set(form, 'languages', value);
      return true;
    case 'tags':
      set(form, 'tags', value);
      return true;
    case 'note':
      rowOf(form.notes, card.notes, BLANK_ROWS.notes).text = value;
      return true;
    default:
      return false;
  }
}

/** A value that says the same stays as it was written. */
function set<K extends string>(target: Record<K, string>, key: K, value: string): void {
  if (inOneLine(target[key]) !== value) target[key] = value;
}

/** The row that a cell shows: of the preferred entry, a new one where there is none. */
function rowOf<R extends { id: string }, E extends { readonly pref?: number }>(
  rows: R[],
  entries: { readonly [id: string]: E } | undefined,
  blank: NoInfer<R>,
): R {
  const shown = preferredEntry(entries);
  const id = Object.entries(entries ?? {}).find(([, entry]) => entry === shown)?.[0];
  const row = rows.find((one) => one.id === id);
  if (row) return row;
  const added = { ...blank };
  rows.push(added);
  return added;
}

function workOf(form: CardForm): CardForm['work'][number] {
  const [first] = form.work;
  if (first) return first;
  const added = { ...BLANK_ROWS.work };
  form.work.push(added);
  return added;
}

function writeBirthday(card: Card, form: CardForm, value: string): void {
  const id = Object.entries(card.anniversaries ?? {}).find(([, { kind }]) => kind === 'birth')?.[0];
  const row = form.dates.find((date) => date.id === id);
  if (row) set(row, 'text', value);
  else form.dates.push({ ...BLANK_ROWS.dates, text: value });
}

/** The name shown then follows from its parts. */
function writeNamePart(form: CardForm, part: 'given' | 'surname', value: string): void {
  const hadParts = PART_KINDS.some((kind) => form.parts[kind] !== '');
  if (!hadParts) {
    for (const { kind, value: word } of parseName(form.name)?.components ?? []) {
      const known = PART_KINDS.find((one) => one === kind);
      if (known) form.parts[known] = [form.parts[known], word].filter(Boolean).join(' ');
    }
  }
  if (form.parts[part].trim() === value) return;
  form.parts[part] = value;
  const components = PART_KINDS.map((kind) => ({ kind, value: form.parts[kind] }));
  form.name = deriveName({ components: components.filter((component) => component.value !== '') });
}

function writeOwn(form: CardForm, key: string, value: string, title = key): boolean {
  const row = form.ownFields.find(({ label }) => label.toLowerCase() === key);
  if (row) set(row, 'text', value);
  else form.ownFields.push({ ...BLANK_ROWS.ownFields, label: title, text: value });
  return true;
}
