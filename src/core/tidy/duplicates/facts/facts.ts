import { cached, type PartialDate, toPartialDate } from '@/core/base';
import { type Card, latinWords, normalizeAddress, organisationWords, shownAs, type Uid } from '@/core/card';

import { isFirm } from './isFirm';
import { type NameScript, NO_NAME, type ReadName, readName, scriptOf } from './nameWords';
import { comparableNumber, type PhoneFact } from './phoneFacts';

/** The comparable facts of a card, normalised. */
export interface DuplicateFacts {
  readonly uid: Uid;
  readonly isOrg: boolean;
  readonly shown: string;
  readonly name: ReadName;
  /** Of an organisation: the words of its name without its legal form. */
  readonly house: readonly string[];
  readonly nicknames: readonly string[];
  /** Normalized. */
  readonly mails: readonly string[];
  readonly phones: readonly PhoneFact[];
  readonly birth: PartialDate | undefined;
  /** The words of each name, joined. */
  readonly employers: readonly string[];
  readonly titles: readonly string[];
  /** Street and postcode, folded and joined. */
  readonly streets: readonly string[];
  readonly towns: readonly string[];
  /** In what the addresses are written; what is written in two scripts need not be another place. */
  readonly placeScript: NameScript;
  /** Hosts of an organisation's links and mail addresses. */
  readonly hosts: readonly string[];
  /** Cards that the user has kept apart. */
  readonly apart: ReadonlySet<Uid>;
}

/** What is compared of a card. @param country - that of national numbers, ISO 3166-1, where it is known */
export function duplicateFacts(card: Card, country?: string): DuplicateFacts {
  const isOrg = isFirm(card);
  const shown = shownAs(card);
  const mails = listOf(card.emails, ({ address }) => normalizeAddress(address));
  const { streets, towns, placeScript } = placesOf(card);
  // Written out: a book has many cards, and objects that are put together of others take many times as long.
  return {
    uid: card.uid,
    isOrg,
    shown,
    name: isOrg ? NO_NAME : readName(card),
    house: isOrg ? organisationWords(shown) : NONE,
    nicknames: card.nicknames ? Object.values(card.nicknames).flatMap(({ name }) => latinWords(name)) : NONE,
    mails,
    phones: phonesOf(card, country),
    birth: birthOf(card),
    employers: listOf(card.organizations, ({ name = '' }) => employerWords(name)),
    titles: listOf(card.titles, ({ name }) => joinedWords(name)),
    streets,
    towns,
    placeScript,
    hosts: isOrg ? hostsOf(card, mails) : NONE,
    apart: apartOf(card),
  };
}

const NONE: readonly string[] = [];

function listOf<T>(all: Readonly<Record<string, T>> | undefined, of: (one: T) => string): readonly string[] {
  return all === undefined ? NONE : Object.values(all).map(of);
}

/** Organisations, titles and towns recur throughout a book. */
const employerWords = cached(20_000, (name) => organisationWords(name).join(' '));
const joinedWords = cached(20_000, (name) => latinWords(name).join(' '));

function phonesOf({ phones }: Card, country: string | undefined): readonly PhoneFact[] {
  if (!phones) return NO_PHONES;
  return Object.values(phones)
    .map(({ number, features }) => comparableNumber(number, features?.['mobile'] === true, country))
    .filter(({ number }) => number.length > 5);
}

const NO_PHONES: readonly PhoneFact[] = [];

function birthOf({ anniversaries }: Card): PartialDate | undefined {
  if (!anniversaries) return undefined;
  const birth = Object.values(anniversaries).find(({ kind }) => kind === 'birth');
  return birth && toPartialDate(birth.date);
}

function apartOf(card: Card): ReadonlySet<Uid> {
  const [apart, bundled] = [card['cordialis.example:apart'], card['cordialis.example:bundled']];
  if (apart === undefined && bundled === undefined) return EMPTY;
  return setOf([...Object.keys(apart ?? {}), ...Object.keys(bundled ?? {})]);
}

/** Most sets are empty, and 100,000 empty ones would have to be allocated and collected. */
const EMPTY: ReadonlySet<string> = new Set();

function setOf(values: readonly string[]): ReadonlySet<string> {
  return values.length === 0 ? EMPTY : new Set(values);
}

function hostsOf({ links }: Card, mails: readonly string[]): string[] {
  const fromLinks = Object.values(links ?? {}).map(
    ({ uri }) => /^https?:\/\/(?:www\.)?([^/:?#]+)/i.exec(uri)?.[1] ?? '',
  );
  const fromMails = mails.map((mail) => mail.slice(mail.indexOf('@') + 1));
  return [...new Set([...fromLinks, ...fromMails].map((host) => host.toLowerCase()).filter(Boolean))];
}

function placesOf({ addresses }: Card): Pick<DuplicateFacts, 'streets' | 'towns' | 'placeScript'> {
  if (!addresses) return NOWHERE;
  const streets: string[] = [];
  const towns: string[] = [];
  let placeScript: NameScript = 'latin';
  for (const { components = [] } of Object.values(addresses ?? {})) {
    const of = (...kinds: string[]) =>
      components.flatMap(({ kind, value }) => (kinds.includes(kind) ? latinWords(value) : [])).join('');
    const number = of('number');
    const road = streetWords(of('name'));
    // With its number, or one written within the street.
    if (road !== '' && /\d/.test(road + number)) streets.push(`${road}${number}`);
    const town = of('locality');
    if (town !== '') towns.push(town);
    if (placeScript === 'latin') placeScript = scriptOf(components.map(({ value }) => value).join(''));
  }
  return { streets, towns, placeScript };
}

const NOWHERE = { streets: NONE, towns: NONE, placeScript: 'latin' } as const;

/** A street without the word for one, which is written in many ways. */
function streetWords(road: string): string {
  return road.replace(/(?:strasse|str|street|st|avenue|ave|road|rd|straat|gatan|vagen)(?=\d|$)/, '');
}
