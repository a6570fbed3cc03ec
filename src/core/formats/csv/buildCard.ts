import { type FigureOrder, findCountryCode, parseTypedDate } from '@/core/base';
import {
  type Address,
  type Card,
  type Collection,
  deriveName,
  type LabelKind,
  type NameComponent,
  nextId,
  parseLabel,
  parseName,
} from '@/core/card';
import { texts } from '@/texts/formats/csv';

import type { Problem } from '../format/format';
import { type Column, type FieldId, formatHeading } from './columns';
import type { TableRow } from './readTable';

/** A row as a card, or why it gives none, and what could not be read of it. */
export interface BuiltCard {
  readonly card?: Card;
  readonly problems: readonly Problem[];
}

/** A card while its cells are being put in. */
interface Draft {
  readonly card: Card;
  readonly components: NameComponent[];
  readonly problems: Problem[];
  readonly line: number;
  readonly order: FigureOrder;
}

/** Makes a card of a row. @param orders - how the figures of dates are read, by column */
export function buildCard(
  { line, cells }: TableRow,
  columns: readonly Column[],
  orders: readonly FigureOrder[],
  uid: string,
): BuiltCard {
  const card: Card = { '@type': 'Card', version: '1.0', uid };
  const components: NameComponent[] = [];
  const problems: Problem[] = [];
  for (const [i, column] of columns.entries()) {
    const value = cells[i]?.trim() ?? '';
    if (value === '') continue;
    putCell({ card, components, problems, line, order: orders[i] ?? 'day-first' }, column, value);
  }
  settleName(card, components);
  if (Object.keys(card).some((key) => !['@type', 'version', 'uid', 'kind'].includes(key)))
    return { card, problems };
  const message = texts.thisRowHasNothing;
  return { problems: [...problems, { code: 'empty-card', line, message, text: cells.join(', ') }] };
}

const NAME_KINDS = ['title', 'given', 'given2', 'surname', 'surname2', 'generation', 'credential'];

function settleName(card: Card, components: NameComponent[]): void {
  const { full } = card.name ?? {};
  if (components.length === 0) {
    // A name in one piece is taken apart, but for an organisation's.
    const parsed = full === undefined || card.kind === 'org' ? undefined : parseName(full);
    if (parsed) card.name = deriveName(parsed) === full ? parsed : { ...parsed, full: full ?? '' };
    return;
  }
  components.sort((a, b) => NAME_KINDS.indexOf(a.kind) - NAME_KINDS.indexOf(b.kind));
  const derived = deriveName({ components });
  card.name = full === undefined || full === derived ? { components } : { components, full };
}

function putCell(draft: Draft, column: Column, value: string): void {
  const { field, label } = column;
  if (NAME_KINDS.includes(field)) draft.components.push({ kind: field, value });
  else if (field in SINGLE) SINGLE[field as keyof typeof SINGLE](draft, value, column);
  else if (field in LISTED) {
    const [collection, kind, make] = LISTED[field as keyof typeof LISTED];
    const use = kind === 'none' ? {} : parseLabel(label, kind);
    addEntry(draft.card, collection, { ...make(value, label), ...use });
  } else if (field in PLACES) putPlace(draft.card, column, value);
  else if (field !== 'none') putOwn(draft.card, label || formatHeading(column), value);
}

function addEntry(card: Card, collection: Collection, entry: object): void {
  const entries = ((card as Record<string, unknown>)[collection] ??= {}) as Record<string, object>;
  entries[nextId(collection, entries)] = entry;
}

/** Fields whose values are entries of their own: the collection, how the label is read, the entry. */
const LISTED = {
  nickname: ['nicknames', 'none', (name: string): object => ({ name })],
  post: ['titles', 'none', (name: string): object => ({ name, kind: 'title' })],
  role: ['titles', 'none', (name: string): object => ({ name, kind: 'role' })],
  mail: ['emails', 'other', (address: string): object => ({ address })],
  phone: ['phones', 'phone', (number: string): object => ({ number })],
  web: ['links', 'other', (uri: string): object => ({ uri })],
  account: ['onlineServices', 'none', toAccount],
  language: ['preferredLanguages', 'none', (language: string): object => ({ language })],
  interest: ['personalInfo', 'none', (value: string): object => ({ kind: 'interest', value })],
  hobby: ['personalInfo', 'none', (value: string): object => ({ kind: 'hobby', value })],
  expertise: ['personalInfo', 'none', (value: string): object => ({ kind: 'expertise', value })],
  note: ['notes', 'none', (note: string): object => ({ note })],
} as const satisfies Partial<
  Record<FieldId, readonly [Collection, LabelKind | 'none', (value: string, label: string) => object]>
>;

function toAccount(value: string, label: string): object {
  const service = label === '' ? {} : { service: label };
  return /^[a-z][\w+.-]*:\S+$/i.test(value) ? { uri: value, ...service } : { user: value, ...service };
}

/** Fields of which a card has one, or that make more than an entry. */
const SINGLE = {
  full: ({ card }: Draft, value: string) => void (card.name = { full: value }),
  pronouns: ({ card }: Draft, value: string) =>
    void (card.speakToAs = { pronouns: { r1: { pronouns: value } } }),
  kind: ({ card }: Draft, value: string) => void (card.kind = value.toLowerCase()),
  uid: ({ card }: Draft, value: string) => void (card.uid = value),
  tags: ({ card }: Draft, value: string) => {
    const words = value.split(/\s*[;,|\n]\s*|\s:::\s/).filter(Boolean);
    card.keywords = { ...card.keywords, ...Object.fromEntries(words.map((word) => [word, true as const])) };
  },
  organization: ({ card }: Draft, value: string, { number }: Column) =>
    putOrganization(card, number, { name: value }),
  unit: ({ card }: Draft, value: string, { number }: Column) =>
    putOrganization(card, number, { units: value.split(/\s*;\s*/).map((name) => ({ name })) }),
  birthday: (draft: Draft, value: string, column: Column) => putDay(draft, 'birth', value, column),
  wedding: (draft: Draft, value: string, column: Column) => putDay(draft, 'wedding', value, column),
  death: (draft: Draft, value: string, column: Column) => putDay(draft, 'death', value, column),
  day: (draft: Draft, value: string, column: Column) => putDay(draft, 'other', value, column),
};

function putOrganization(card: Card, number: number, part: object): void {
  const id = `g${number}`;
  card.organizations = { ...card.organizations, [id]: { ...card.organizations?.[id], ...part } };
}

function putDay({ card, problems, line, order }: Draft, kind: string, value: string, column: Column): void {
  // The time that some programs write behind a day says nothing of it.
  const date = parseTypedDate(value.replace(/[T ]00:00(:00)?(\.0+)?Z?$/, ''), order);
  if (date) {
    const label = column.label === '' ? {} : { label: column.label };
    addEntry(card, 'anniversaries', { kind, date, ...label });
    return;
  }
  const heading = formatHeading(column);
  const message = `${heading} "${value.slice(0, 40)}" is no date of the calendar; it is kept as a field of its own`;
  problems.push({ code: 'unreadable-value', line, message, text: value });
  putOwn(card, heading, value);
}

function putOwn(card: Card, label: string, value: string): void {
  const entries = { ...card['cordialis.example:fields'] };
  entries[`f${Object.keys(entries).length + 1}`] = { label, value };
  card['cordialis.example:fields'] = entries;
}

/** Which component of an address a column gives. */
const PLACES = {
  street: 'name',
  building: 'building',
  postbox: 'postOfficeBox',
  town: 'locality',
  region: 'region',
  postcode: 'postcode',
  country: 'country',
  countryCode: '',
  address: '',
} as const;

/** Columns with the same label and number are the parts of one address. */
function putPlace(card: Card, { field, label, number }: Column, value: string): void {
  const key = `${label} ${number}`;
  const addresses = (card.addresses ??= {});
  const ids = placesOf(card);
  const id = ids.get(key) ?? nextId('addresses', addresses);
  ids.set(key, id);
  const address: Address = (addresses[id] ??= { ...parseLabel(label, 'address') });
  if (field === 'countryCode') address.countryCode = value.toUpperCase();
  else if (field === 'address') address.full = value;
  else {
    const kind = PLACES[field as keyof typeof PLACES];
    (address.components ??= []).push({ kind, value });
    const code = field === 'country' ? codeOf(value) : undefined;
    if (code !== undefined) address.countryCode ??= code;
  }
}

/** Which address of a card came from which columns; beside the card, as it says nothing about anybody. */
const placeIds = new WeakMap<Card, Map<string, string>>();

function placesOf(card: Card): Map<string, string> {
  const known = placeIds.get(card) ?? new Map<string, string>();
  placeIds.set(card, known);
  return known;
}

/** Country names are looked up once each: a table says the same few again and again. */
const codes = new Map<string, string | undefined>();

function codeOf(country: string): string | undefined {
  if (!codes.has(country)) codes.set(country, findCountryCode(country));
  return codes.get(country);
}
