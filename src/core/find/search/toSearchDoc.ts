import { type PartialDate, toPartialDate } from '@/core/base';
import { type Card, hasFlag, parsePhone, shownAs, type Uid } from '@/core/card';
import { isList, memberUids } from '@/core/lists';
import type { Rhythm } from '@/core/talks';

import { type AddressPlace, addressPlaces } from '../places/locate';
import type { DocKind, Field } from '../rules/fields';
import { parseRule, type Rule } from '../rules/rule';

/** What the index knows of a card. Plain data, so that it can be handed to a worker. */
export interface SearchDoc {
  readonly uid: Uid;
  readonly shown: string;
  readonly kind?: DocKind;
  readonly isArchived?: boolean;
  readonly isPinned?: boolean;
  readonly isPrivate?: boolean;
  readonly values: readonly (readonly [Field, string])[];
  /** Digits of each number, as written and with its country code, for finding any part of them. */
  readonly digits: readonly string[];
  /** Of a list: who is on it. */
  readonly members?: readonly Uid[];
  /** Cards that it names as related. */
  readonly related?: readonly Uid[];
  /** Where its addresses are, the preferred one first. */
  readonly places?: readonly AddressPlace[];
  /** Of a list that fills itself: who is on it. */
  readonly rule?: Rule;
  /** Days that come round, as kind and MM-DD; '' for the day of which only the month or the year is known. */
  readonly days?: readonly (readonly [kind: string, monthDay: string])[];
  /** The year of birth, and the day of it as MM-DD where that is known. */
  readonly born?: readonly [year: number, monthDay: string];
  /** The next talk as set by hand, a day such as 2026-11-24. */
  readonly due?: string;
  readonly rhythm?: Rhythm;
  /** Days such as 2026-11-24. */
  readonly added?: string;
  readonly changed?: string;
}

/** @param country - ISO 3166-1 alpha-2, for numbers written without a country code */
export function toSearchDoc(card: Card, country?: string): SearchDoc {
  const values = [...namingValues(card), ...reachValues(card), ...detailValues(card)].filter(
    (entry): entry is [Field, string] => entry[1] !== undefined && entry[1] !== '',
  );
  const members = isList(card) ? memberUids(card) : [];
  const related = Object.keys(card.relatedTo ?? {});
  const days = each(card.anniversaries).map(
    ({ kind, date }) => [kind, monthDayOf(toPartialDate(date))] as const,
  );
  const places = card.addresses ? addressPlaces(card) : [];
  const rule = isList(card) ? parseRule(card['cordialis.example:rule']) : undefined;
  return {
    uid: card.uid,
    shown: shownAs(card),
    kind: kindOf(card),
    values,
    digits: each(card.phones).flatMap(({ number }) => digitsOf(number, country)),
    ...(hasFlag(card, 'archived') ? { isArchived: true } : {}),
    ...(hasFlag(card, 'pinned') ? { isPinned: true } : {}),
    ...(hasFlag(card, 'private') ? { isPrivate: true } : {}),
    ...(rule ? { rule } : {}),
    ...(card.created === undefined ? {} : { added: card.created.slice(0, 10) }),
    ...(card.updated === undefined ? {} : { changed: card.updated.slice(0, 10) }),
    ...(members.length > 0 ? { members } : {}),
    ...(related.length > 0 ? { related } : {}),
    ...(places.length > 0 ? { places } : {}),
    ...(days.length > 0 ? { days } : {}),
    ...bornOf(card),
    ...(card['cordialis.example:due'] === undefined ? {} : { due: card['cordialis.example:due'] }),
    ...(card['cordialis.example:rhythm'] ? { rhythm: card['cordialis.example:rhythm'] } : {}),
  };
}

function bornOf(card: Card): Pick<SearchDoc, 'born'> {
  const birth = each(card.anniversaries).find(({ kind }) => kind === 'birth');
  const date = birth && toPartialDate(birth.date);
  return date?.year === undefined ? {} : { born: [date.year, monthDayOf(date)] };
}

function monthDayOf({ month, day }: PartialDate): string {
  if (month === undefined || day === undefined) return '';
  return `${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`;
}

function kindOf(card: Card): DocKind {
  if (isList(card)) return 'list';
  return card.kind === 'org' ? 'organisation' : 'person';
}

type Found = [Field, string | undefined];

function namingValues(card: Card): Found[] {
  return [
    ['name', shownAs(card)],
    ...(card.name?.components ?? []).map(({ value }): Found => ['name', value]),
    ...(card.name?.components ?? []).map(({ phonetic }): Found => ['name', phonetic]),
    ...each(card.nicknames).map(({ name }): Found => ['nickname', name]),
    ...each(card.organizations).flatMap(({ name, units = [] }): Found[] => [
      ['organisation', name],
      ...units.map((unit): Found => ['organisation', unit.name]),
    ]),
    ...each(card.titles).map(({ name }): Found => ['title', name]),
  ];
}

function reachValues(card: Card): Found[] {
  return [
    ...each(card.emails).map(({ address }): Found => ['mail', address]),
    ...each(card.phones).map(({ number }): Found => ['number', number.replace(/^tel:/, '')]),
    ...each(card.addresses).flatMap(({ components = [], full }): Found[] => [
      ['place', full],
      ...components.flatMap(({ kind, value }): Found[] => {
        if (kind === 'separator') return [];
        return [[PLACE_KINDS.has(kind) ? 'place' : 'street', value]];
      }),
    ]),
    ...each(card.onlineServices).flatMap(({ service, user, uri }): Found[] => [
      ['account', service],
      ['account', user ?? uri],
    ]),
    ...each(card.links).map(({ uri }): Found => ['web', uri.replace(/^https?:\/\/(www\.)?/i, '')]),
  ];
}

function detailValues(card: Card): Found[] {
  return [
    ...Object.keys(card.keywords ?? {}).map((word): Found => ['tag', word]),
    ...each(card.personalInfo).map(({ value }): Found => ['interest', value]),
    ...each(card['cordialis.example:fields']).flatMap(({ label, value }): Found[] => [
      ['own', label],
      ['own', value],
    ]),
    ...each(card.notes).map(({ note }): Found => ['note', note]),
    ['note', card['cordialis.example:opener']],
  ];
}

const PLACE_KINDS = new Set(['locality', 'region', 'country', 'district', 'postcode']);

function each<T>(entries: Readonly<Record<string, T>> | undefined): T[] {
  return entries ? Object.values(entries) : [];
}

function digitsOf(number: string, country: string | undefined): string[] {
  const written = number.replace(/^tel:/, '').replace(/\D/g, '');
  // A number with its country code needs no parsing, the expensive step.
  if (/^\s*(tel:)?(\+|00)/.test(number)) return [written.replace(/^00/, '')];
  const e164 = parsePhone(number, country)?.e164.slice(1);
  return e164 === undefined || e164 === written ? [written] : [written, e164];
}
