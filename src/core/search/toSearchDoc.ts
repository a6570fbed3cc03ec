import { type Card, shownAs } from '../card';
import { parsePhone } from '../phone';

/** Where on a card a word was found; the order is that of their weight. */
export const FIELDS = [
  'name',
  'nickname',
  'number',
  'organisation',
  'mail',
  'place',
  'title',
  'tag',
] as const;

/** One of the fields. */
export type Field = (typeof FIELDS)[number];

/** What the index knows of a card. Plain data, so that it can be handed to a worker. */
export interface SearchDoc {
  readonly uid: string;
  readonly shown: string;
  readonly values: readonly (readonly [Field, string])[];
  /** Digits of each number, as written and with its country code, for finding any part of them. */
  readonly digits: readonly string[];
}

/** @param country - ISO 3166-1 alpha-2, for numbers written without a country code */
export function toSearchDoc(card: Card, country?: string): SearchDoc {
  const list: [Field, string | undefined][] = [
    ['name', shownAs(card)],
    ...(card.name?.components ?? []).map(({ value }): [Field, string] => ['name', value]),
    ...each(card.nicknames).map(({ name }): [Field, string] => ['nickname', name]),
    ...each(card.organizations).flatMap(({ name, units = [] }): [Field, string | undefined][] => [
      ['organisation', name],
      ...units.map((unit): [Field, string] => ['organisation', unit.name]),
    ]),
    ...each(card.titles).map(({ name }): [Field, string] => ['title', name]),
    ...each(card.emails).map(({ address }): [Field, string] => ['mail', address]),
    ...each(card.phones).map(({ number }): [Field, string] => ['number', number.replace(/^tel:/, '')]),
    ...each(card.addresses).flatMap(({ components = [], full }): [Field, string | undefined][] => [
      ['place', full],
      ...components
        .filter(({ kind }) => PLACE_KINDS.has(kind))
        .map(({ value }): [Field, string] => ['place', value]),
    ]),
    ...Object.keys(card.keywords ?? {}).map((word): [Field, string] => ['tag', word]),
  ];
  const values = list.filter((entry): entry is [Field, string] => entry[1] !== undefined && entry[1] !== '');
  const digits = each(card.phones).flatMap(({ number }) => digitsOf(number, country));
  return { uid: card.uid, shown: shownAs(card), values, digits };
}

const PLACE_KINDS = new Set(['locality', 'region', 'country', 'district']);

function each<T>(entries: Readonly<Record<string, T>> | undefined): T[] {
  return Object.values(entries ?? {});
}

function digitsOf(number: string, country: string | undefined): string[] {
  const written = number.replace(/^tel:/, '').replace(/\D/g, '');
  // A number with its country code needs no reading, which is the dear part.
  if (/^\s*(tel:)?(\+|00)/.test(number)) return [written.replace(/^00/, '')];
  const e164 = parsePhone(number, country)?.e164.slice(1);
  return e164 === undefined || e164 === written ? [written] : [written, e164];
}
