import { toPartialDate } from '@/core/base';
import {
  type Address,
  type Anniversary,
  type Card,
  formatLabel,
  type Labelled,
  type Name,
  shownAs,
} from '@/core/card';

import { formatDate } from '../properties/dates';
import { type Column, type FieldId, formatHeading } from './columns';

/** One value of a card, and the column it belongs in. */
export interface Cell {
  readonly column: Column;
  readonly value: string;
}

/** Everything of a card that a table can hold, each value with its column. */
export function cellsOfCard(card: Card): Cell[] {
  const sheet = new CellSheet();
  putName(sheet, card);
  for (const one of entriesOf(card.nicknames)) sheet.add('nickname', '', one.name);
  const [pronouns] = entriesOf(card.speakToAs?.pronouns);
  sheet.add('pronouns', '', pronouns?.pronouns);
  sheet.add('kind', '', card.kind === 'individual' ? undefined : card.kind);
  putWork(sheet, card);
  for (const one of entriesOf(card.emails)) sheet.add('mail', formatLabel(one), one.address);
  for (const one of entriesOf(card.phones))
    sheet.add('phone', formatLabel(one), one.number.replace(/^tel:/, ''));
  for (const one of entriesOf(card.onlineServices))
    sheet.add('account', one.service ?? '', one.user ?? one.uri);
  for (const one of entriesOf(card.links)) sheet.add('web', formatLabel(one), one.uri);
  for (const one of entriesOf(card.addresses)) putAddress(sheet, one);
  for (const one of entriesOf(card.anniversaries)) putDay(sheet, one);
  for (const one of entriesOf(card.preferredLanguages)) sheet.add('language', '', one.language);
  for (const one of entriesOf(card.personalInfo)) {
    if (one.kind === 'interest' || one.kind === 'hobby' || one.kind === 'expertise')
      sheet.add(one.kind, '', one.value);
  }
  sheet.add('tags', '', Object.keys(card.keywords ?? {}).join('; '));
  for (const one of entriesOf(card.notes)) sheet.add('note', '', one.note);
  for (const one of entriesOf(card['cordialis.example:fields'])) sheet.add('own', one.label, one.value);
  sheet.add('uid', '', card.uid);
  return sheet.cells;
}

/** The cells of one card while they are being put together. */
class CellSheet {
  readonly cells: Cell[] = [];
  readonly #counts = new Map<string, number>();

  /** The number of the next column of a field and label. */
  next(field: FieldId, label: string): number {
    const key = formatHeading({ field, label, number: 1 });
    const number = (this.#counts.get(key) ?? 0) + 1;
    this.#counts.set(key, number);
    return number;
  }

  add(field: FieldId, label: string, value: string | undefined): void {
    if (value !== undefined && value.trim() !== '') this.put(field, label, this.next(field, label), value);
  }

  put(field: FieldId, label: string, number: number, value: string): void {
    if (value.trim() !== '') this.cells.push({ column: { field, label: plainLabel(label), number }, value });
  }
}

/** A label as a heading can hold it: one line, its brackets square. */
function plainLabel(label: string): string {
  return label.replace(/\s+/g, ' ').replace(/\(/g, '[').replace(/\)/g, ']').trim();
}

function entriesOf<T>(entries: Readonly<Record<string, T>> | undefined): T[] {
  return Object.values(entries ?? {});
}

const NAME_FIELDS = ['title', 'given', 'given2', 'surname', 'surname2', 'generation', 'credential'] as const;

function putName(sheet: CellSheet, card: Card): void {
  const name: Name = card.name ?? {};
  for (const field of NAME_FIELDS) {
    const values = (name.components ?? []).filter(({ kind }) => kind === field).map(({ value }) => value);
    sheet.add(field, '', values.join(' '));
  }
  sheet.add('full', '', name.components || name.full !== undefined ? shownAs(card) : undefined);
}

function putWork(sheet: CellSheet, card: Card): void {
  for (const one of entriesOf(card.organizations)) {
    const number = sheet.next('organization', '');
    sheet.put('organization', '', number, one.name ?? '');
    sheet.put('unit', '', number, (one.units ?? []).map((unit) => unit.name).join('; '));
  }
  for (const one of entriesOf(card.titles)) sheet.add(one.kind === 'role' ? 'role' : 'post', '', one.name);
}

/** Which components of an address stand in which column. */
export const ADDRESS_PARTS = {
  street: ['number', 'name', 'block', 'direction', 'landmark', 'subdistrict', 'district'],
  building: ['building', 'floor', 'room', 'apartment'],
  postbox: ['postOfficeBox'],
  town: ['locality'],
  region: ['region'],
  postcode: ['postcode'],
  country: ['country'],
} as const;

function putAddress(sheet: CellSheet, address: Address): void {
  const label = formatLabel(address as Labelled);
  const number = sheet.next('address', label);
  for (const [field, kinds] of Object.entries(ADDRESS_PARTS)) {
    const values = (address.components ?? []).filter(({ kind }) =>
      (kinds as readonly string[]).includes(kind),
    );
    sheet.put(field as FieldId, label, number, values.map(({ value }) => value).join(' '));
  }
  sheet.put('countryCode', label, number, address.countryCode ?? '');
  sheet.put('address', label, number, address.full ?? '');
}

const DAY_FIELDS: Readonly<Record<string, FieldId>> = {
  birth: 'birthday',
  wedding: 'wedding',
  death: 'death',
};

function putDay(sheet: CellSheet, day: Anniversary): void {
  const field = DAY_FIELDS[day.kind];
  const isTaken = field === undefined || sheet.cells.some(({ column }) => column.field === field);
  const label = isTaken ? (day.label ?? day.kind) : '';
  sheet.add(isTaken ? 'day' : field, label, formatDate(toPartialDate(day.date), false));
}
