import { type PartialDate, toPartialDate } from '@/core/base';
import { type Card, latinWords, normalizeAddress, organisationWords, shownAs, type Uid } from '@/core/card';

import { isFirm } from './isFirm';
import { NO_NAME, type ReadName, readName } from './nameWords';
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
  /** Hosts of an organisation's links and mail addresses. */
  readonly hosts: readonly string[];
  /** Cards that the user has kept apart. */
  readonly apart: ReadonlySet<Uid>;
}

/** What is compared of a card. @param country - that of national numbers, ISO 3166-1, where it is known */
export function duplicateFacts(card: Card, country?: string): DuplicateFacts {
  const isOrg = isFirm(card);
  const birth = Object.values(card.anniversaries ?? {}).find(({ kind }) => kind === 'birth');
  const mails = Object.values(card.emails ?? {}).map(({ address }) => normalizeAddress(address));
  const employers = Object.values(card.organizations ?? {}).map(({ name = '' }) =>
    organisationWords(name).join(' '),
  );
  return {
    ...{ uid: card.uid, isOrg, shown: shownAs(card), mails, employers },
    name: isOrg ? NO_NAME : readName(card),
    house: isOrg ? organisationWords(shownAs(card)) : [],
    nicknames: Object.values(card.nicknames ?? {}).flatMap(({ name }) => latinWords(name)),
    phones: Object.values(card.phones ?? {})
      .map(({ number, features }) => comparableNumber(number, features?.['mobile'] === true, country))
      .filter(({ number }) => number.length > 5),
    birth: birth ? toPartialDate(birth.date) : undefined,
    titles: Object.values(card.titles ?? {}).map(({ name }) => latinWords(name).join(' ')),
    ...placesOf(card),
    hosts: isOrg ? hostsOf(card, mails) : [],
    apart: setOf([
      ...Object.keys(card['cordialis.example:apart'] ?? {}),
      ...Object.keys(card['cordialis.example:bundled'] ?? {}),
    ]),
  };
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

function placesOf({ addresses }: Card): Pick<DuplicateFacts, 'streets' | 'towns'> {
  const streets: string[] = [];
  const towns: string[] = [];
  for (const { components = [] } of Object.values(addresses ?? {})) {
    const of = (...kinds: string[]) =>
      components.flatMap(({ kind, value }) => (kinds.includes(kind) ? latinWords(value) : [])).join('');
    const number = of('number');
    const road = streetWords(of('name'));
    // With its number, or one written within the street.
    if (road !== '' && /\d/.test(road + number)) streets.push(`${road}${number}`);
    const town = of('locality');
    if (town !== '') towns.push(town);
  }
  return { streets, towns };
}

/** A street without the word for one, which is written in many ways. */
function streetWords(road: string): string {
  return road.replace(/(?:strasse|str|street|st|avenue|ave|road|rd|straat|gatan|vagen)(?=\d|$)/, '');
}
