import {
  type Address,
  type Anniversary,
  type Card,
  type Collection,
  formatName,
  type Name,
  nextId,
  parseName,
} from '../card';
import type { CardForm } from './cardForm';
import { type LabelKind, type Labelled, parseLabel } from './label';
import { parseTypedDate } from './parseTypedDate';
import { DATE_LABELS, toForm } from './toForm';

/** What the form needs to know that neither it nor the card says. */
export interface FormContext {
  readonly locale?: string;
  /** Finds the code of a country by its name, ISO 3166-1 alpha-2. */
  readonly findCountryCode?: (name: string) => string | undefined;
}

/**
 * The card as the form has it. What the form doesn't show stays, and a value whose text has not been touched stays
 * exactly as it was, however it was written.
 */
export function fromForm(card: Card, form: CardForm, context: FormContext = {}): Card {
  const before = toForm(card, context.locale);
  const next: Card = { ...card };
  if (form.kind === 'org') next.kind = 'org';
  else if (card.kind === 'org') next.kind = 'individual';
  if (form.name !== before.name || form.kind !== before.kind) put(next, 'name', nameFrom(card, form));
  putFirst(next, 'nicknames', form.nickname, before.nickname, (name) => ({ name }));
  putFirst(next, 'titles', form.title, before.title, (name) => ({ name, kind: 'title' }));
  putFirst(next, 'organizations', form.organization, before.organization, (name) => ({ name }));
  putList(
    next,
    'phones',
    form.phones,
    before.phones,
    ({ number }, old) => number.trim() && { ...old, number: number.trim() },
  );
  putList(
    next,
    'emails',
    form.emails,
    before.emails,
    ({ address }, old) => address.trim() && { ...old, address: address.trim() },
  );
  putList(
    next,
    'links',
    form.links,
    before.links,
    ({ uri }, old) => uri.trim() && { ...old, uri: webUri(uri.trim()) },
  );
  putList(next, 'addresses', form.addresses, before.addresses, (row, old) =>
    addressFrom(row, old as Address | undefined, context),
  );
  putList(next, 'anniversaries', form.dates, before.dates, (row, old) =>
    dateFrom(row, old as Anniversary | undefined, context),
  );
  putList(
    next,
    'notes',
    form.notes,
    before.notes,
    ({ text }, old) => text.trim() && { ...old, note: text.trim() },
  );
  return next;
}

function put<K extends keyof Card>(card: Card, key: K, value: Card[K] | undefined): void {
  if (value === undefined) delete card[key];
  else card[key] = value;
}

/** A typed name in its parts; that of an organisation as a whole. */
function nameFrom(card: Card, form: CardForm): Name | undefined {
  const line = form.name.trim();
  if (line === '') return undefined;
  if (form.kind === 'org') return { full: line };
  const kinds = (card.name?.components ?? []).map(({ kind }) => kind);
  const familyFirst =
    kinds.includes('given') &&
    kinds.indexOf('surname') !== -1 &&
    kinds.indexOf('surname') < kinds.indexOf('given');
  const isOrdered = card.name?.isOrdered === true && !formatName(card.name).includes(',');
  const name = parseName(line, {
    familyFirst: isOrdered && familyFirst,
    doubleSurname: kinds.includes('surname2'),
  });
  const sortAs = form.name.includes(',') ? undefined : card.name?.sortAs;
  return name && (sortAs ? { ...name, sortAs } : name);
}

type FirstCollection = 'nicknames' | 'titles' | 'organizations';

/** The first entry of a collection is edited as one line; the others stay. */
function putFirst<K extends FirstCollection>(
  card: Card,
  collection: K,
  text: string,
  before: string,
  make: (text: string) => object,
): void {
  if (text === before) return;
  const entries: Record<string, object> = { ...card[collection] };
  const first = Object.keys(entries)[0] ?? nextId(collection);
  if (text.trim() === '') delete entries[first];
  else entries[first] = { ...make(text.trim()), ...entries[first], name: text.trim() };
  put(card, collection, Object.keys(entries).length === 0 ? undefined : (entries as Card[K]));
}

interface Row {
  readonly id: string;
  readonly label?: string;
  readonly isPreferred?: boolean;
}

type ListCollection = Exclude<Collection, 'pronouns' | 'personalInfo'>;
const LABEL_KINDS: Partial<Record<ListCollection, LabelKind>> = {
  phones: 'phone',
  addresses: 'address',
  emails: 'other',
  links: 'other',
};

/** Makes the entries of a collection in the order of the form; `make` gives '' for a row that says nothing. */
function putList<R extends Row>(
  card: Card,
  collection: ListCollection,
  rows: readonly R[],
  before: readonly R[],
  make: (row: R, old: object | undefined) => object | '',
): void {
  if (isSameRow(rows, before)) return;
  const old = (card[collection] ?? {}) as Record<string, object>;
  const entries: Record<string, object> = {};
  for (const row of rows) {
    const was = before.find(({ id }) => id === row.id);
    const known = old[row.id];
    if (known && was && isSameRow(row, was)) {
      entries[row.id] = known;
      continue;
    }
    const made = make(row, known);
    if (made === '') continue;
    const id = known ? row.id : nextId(collection, { ...old, ...entries });
    entries[id] = withUse(made, row, was, LABEL_KINDS[collection]);
  }
  const isEmpty = Object.keys(entries).length === 0;
  put(card, collection, isEmpty ? undefined : (entries as never));
}

function isSameRow(a: unknown, b: unknown): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** Label and preference as the row has them, where they were touched. */
function withUse(entry: object, row: Row, was: Row | undefined, kind: LabelKind | undefined): object {
  let used = entry as Labelled & { pref?: number };
  if (kind && row.label !== undefined && row.label !== (was?.label ?? '')) {
    const { contexts: _, features: __, label: ___, ...rest } = used;
    used = { ...rest, ...parseLabel(row.label, kind) };
  }
  if (row.isPreferred !== undefined && row.isPreferred !== (was?.isPreferred ?? false)) {
    const { pref: _, ...rest } = used;
    used = row.isPreferred ? { ...rest, pref: 1 } : rest;
  }
  return used;
}

/** "example.org" is meant as a web address; anything with a scheme stays as it is. */
function webUri(text: string): string {
  return /^[a-z][a-z0-9+.-]*:/i.test(text) ? text : `https://${text}`;
}

const EDITED_KINDS = new Set(['number', 'name', 'postcode', 'locality', 'region', 'country']);

function addressFrom(
  row: CardForm['addresses'][number],
  old: Address | undefined,
  context: FormContext,
): object | '' {
  const typed = [
    ['name', row.street],
    ['postcode', row.postcode],
    ['locality', row.locality],
    ['region', row.region],
    ['country', row.country],
  ] as const;
  const components = typed
    .filter(([, value]) => value.trim() !== '')
    .map(([kind, value]) => ({ kind, value: value.trim() }));
  const kept = (old?.components ?? []).filter(({ kind }) => !EDITED_KINDS.has(kind) && kind !== 'separator');
  if (components.length + kept.length === 0) return '';
  // The layout, the place on the map and the time zone were those of the old address.
  const {
    full: _,
    isOrdered: __,
    defaultSeparator: ___,
    coordinates: ____,
    timeZone: _____,
    countryCode: code,
    ...rest
  } = old ?? {};
  const wasCountry = (old?.components ?? []).find(({ kind }) => kind === 'country')?.value ?? '';
  const countryCode =
    row.country.trim() === wasCountry ? code : context.findCountryCode?.(row.country.trim());
  return {
    ...rest,
    components: [...kept, ...components],
    ...(countryCode === undefined ? {} : { countryCode }),
  };
}

function dateFrom(
  row: CardForm['dates'][number],
  old: Anniversary | undefined,
  context: FormContext,
): object | '' {
  const date = parseTypedDate(row.text, 'day-first', context.locale);
  if (!date) return '';
  const label = row.label.trim().toLowerCase();
  const kind = Object.entries(DATE_LABELS).find(([, word]) => word === label)?.[0];
  const { label: _, ...rest } = old ?? {};
  if (kind !== undefined) return { ...rest, kind, date };
  // RFC 9553 §2.8.1 asks for a kind and §1.7.2 says how to make one.
  return {
    ...rest,
    kind: 'cordialis.example:other',
    date,
    ...(row.label.trim() === '' ? {} : { label: row.label.trim() }),
  };
}
