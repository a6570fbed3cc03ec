import {
  type Anniversary,
  type Card,
  formatAddress,
  formatPartialDate,
  nextAnniversary,
  type Preferable,
  shownAs,
  toPartialDate,
} from '../card';
import { DATE_LABELS, formatLabel, formatLanguage, relationLabel } from '../editing';
import { isObject } from '../json';
import { dialUri, formatPhone } from '../phone';
import { mailUri, smsUri, wayUri } from './reachOf';
import { safeUri } from './safeUri';

/** What showing depends on beside the card. */
export interface ShowOptions {
  /** ISO 3166-1 alpha-2. */
  readonly country: string;
  /** BCP 47, for dates in words. */
  readonly locale: string;
  /** ISO 8601 calendar date where the user is. */
  readonly today: string;
  /** What another card is called. */
  readonly nameOf?: (uid: string) => string | undefined;
  /** The card of an organisation by its name. */
  readonly organisationOf?: (name: string) => Card | undefined;
  /** The people of an organisation by its name. */
  readonly peopleOf?: (name: string) => readonly Card[];
  /** The time it is now in an IANA time zone. */
  readonly timeIn?: (zone: string) => string | undefined;
}

/** One value of a card. */
export interface CardValue {
  /** The collection and the id of the entry it shows; entries of these can be preferred, removed, edited. */
  readonly collection: string;
  readonly id: string;
  readonly lines: readonly string[];
  /** What kind it is and what else there is to know: "work, preferred"; '' for nothing. */
  readonly second: string;
  /** What pressing it opens; without one it is copied. */
  readonly uri?: string;
  /** Another thing to open with it: a message to a number. */
  readonly messageUri?: string;
  /** Another card that pressing it opens. */
  readonly cardUid?: string;
  /** The text that copying gives. */
  readonly copy: string;
  readonly preferable?: Preferable;
  readonly isPreferred?: boolean;
}

/** The values of one kind, under the word that the page has for it. */
export interface ValueGroup {
  readonly label: string;
  readonly values: readonly CardValue[];
}

/** The values of a card in the order of the page; groups without a value are left out. */
export function cardValues(card: Card, options: ShowOptions): ValueGroup[] {
  const groups: ValueGroup[] = [
    { label: 'Phone', values: phones(card, options.country) },
    { label: 'Mail', values: mails(card) },
    { label: 'Address', values: addresses(card) },
    { label: 'Web', values: links(card) },
    { label: 'Account', values: accounts(card) },
    ...dates(card, options),
    { label: 'People', values: relations(card, options) },
    { label: 'Time there', values: timeThere(card, options) },
    { label: 'Pronouns', values: each(card.speakToAs?.pronouns, 'pronouns', ({ pronouns }) => [pronouns]) },
    { label: 'Nickname', values: each(card.nicknames, 'nicknames', ({ name }) => [name]) },
    { label: 'Work', values: work(card, options) },
    { label: 'Phone there', values: phonesThere(card, options) },
    { label: 'People there', values: peopleThere(card, options) },
    {
      label: 'Languages',
      values: each(card.preferredLanguages, 'preferredLanguages', ({ language }) => [
        formatLanguage(language, options.locale),
      ]),
    },
    {
      label: 'Interests',
      values: each(
        card.personalInfo,
        'personalInfo',
        ({ value }) => [value],
        ({ kind, level }) => joined(kind, level),
      ),
    },
    { label: 'Tags', values: tags(card) },
    { label: 'Note', values: each(card.notes, 'notes', ({ note }) => note.split('\n')) },
    ...ownFields(card),
    { label: 'Key', values: each(card.cryptoKeys, 'cryptoKeys', ({ uri }) => [shortUri(uri)]) },
  ];
  return groups.filter(({ values }) => values.length > 0).map((group) => markPrivate(card, group));
}

function joined(...parts: readonly (string | undefined)[]): string {
  return parts.filter(Boolean).join(', ');
}

type Entries<T> = Readonly<Record<string, T>> | undefined;

function each<T>(
  entries: Entries<T>,
  collection: string,
  lines: (entry: T) => string[],
  second: (entry: T) => string = () => '',
): CardValue[] {
  return Object.entries(entries ?? {}).map(([id, entry]) => {
    const shown = lines(entry).filter((line) => line !== '');
    return { collection, id, lines: shown, second: second(entry), copy: shown.join('\n') };
  });
}

type Used = Parameters<typeof formatLabel>[0] & { readonly pref?: number };

function used(entry: Used) {
  const isPreferred = entry.pref === 1;
  return { second: joined(formatLabel(entry), isPreferred ? 'preferred' : ''), isPreferred };
}

function phones(card: Card, country: string): CardValue[] {
  return Object.entries(card.phones ?? {}).map(([id, phone]) => {
    const shown = formatPhone(phone.number, country);
    const uris = { uri: dialUri(phone.number, country), messageUri: smsUri(phone.number, country) };
    return {
      collection: 'phones',
      id,
      lines: [shown],
      copy: shown,
      preferable: 'phones',
      ...used(phone),
      ...uris,
    };
  });
}

function mails(card: Card): CardValue[] {
  return Object.entries(card.emails ?? {}).map(([id, mail]) => ({
    collection: 'emails',
    id,
    lines: [mail.address],
    copy: mail.address,
    uri: mailUri(mail.address),
    preferable: 'emails',
    ...used(mail),
  }));
}

function addresses(card: Card): CardValue[] {
  return Object.entries(card.addresses ?? {}).map(([id, address]) => {
    const lines = formatAddress(address);
    const uri = wayUri(address);
    return {
      collection: 'addresses',
      id,
      lines,
      copy: lines.join('\n'),
      preferable: 'addresses',
      ...used(address),
      ...(uri === undefined ? {} : { uri }),
    };
  });
}

function links(card: Card): CardValue[] {
  return Object.entries(card.links ?? {}).map(([id, link]) => {
    const uri = safeUri(link.uri);
    const shown = link.uri.replace(/^https?:\/\//i, '').replace(/\/$/, '');
    return {
      collection: 'links',
      id,
      lines: [shown],
      copy: link.uri,
      preferable: 'links',
      ...used(link),
      ...(uri === undefined ? {} : { uri }),
    };
  });
}

function accounts(card: Card): CardValue[] {
  return Object.entries(card.onlineServices ?? {}).map(([id, account]) => {
    const uri = safeUri(account.uri ?? '');
    const shown = account.user ?? account.uri ?? '';
    const { second, isPreferred } = used(account);
    return {
      collection: 'onlineServices',
      id,
      lines: [shown],
      copy: shown,
      second: joined(account.service, second),
      isPreferred,
      preferable: 'onlineServices',
      ...(uri === undefined ? {} : { uri }),
    };
  });
}

/** Each kind of day has its own word, so each makes a group of its own. */
function dates(card: Card, { today, locale }: ShowOptions): ValueGroup[] {
  return Object.entries(card.anniversaries ?? {}).map(([id, entry]) => {
    const label = entry.label ?? DATE_LABELS[entry.kind] ?? entry.kind.replace(/^.*:/, '');
    const shown = formatPartialDate(toPartialDate(entry.date), locale);
    const value = {
      collection: 'anniversaries',
      id,
      lines: [shown],
      copy: shown,
      second: comesRound(entry, today),
    };
    return { label: label.charAt(0).toUpperCase() + label.slice(1), values: [value] };
  });
}

/** "turns 58 in 71 days". A death is remembered without counting. */
function comesRound(entry: Anniversary, today: string): string {
  const next = entry.kind === 'death' ? undefined : nextAnniversary(toPartialDate(entry.date), today);
  if (!next) return '';
  const when = next.daysAway === 0 ? 'today' : next.daysAway === 1 ? 'tomorrow' : `in ${next.daysAway} days`;
  if (next.years === undefined) return when;
  return entry.kind === 'birth'
    ? `turns ${next.years} ${when}`
    : `${next.years} ${next.years === 1 ? 'year' : 'years'} ${when}`;
}

/** What the head of the page doesn't say already: further posts, departments, and organisations that have a card. */
function work(card: Card, { organisationOf }: ShowOptions): CardValue[] {
  const [, ...posts] = each(
    card.titles,
    'titles',
    ({ name }) => [name],
    ({ kind }) => (kind === 'role' ? 'role' : ''),
  );
  const houses = Object.entries(card.organizations ?? {}).flatMap(([id, { name = '', units = [] }], i) => {
    const lines = [joined(name, ...units.map((unit) => unit.name))].filter(Boolean);
    const uid = card.kind === 'org' ? undefined : organisationOf?.(name)?.uid;
    const isSaid = i === 0 && units.length === 0 && (name === shownAs(card) || uid === undefined);
    if (isSaid || lines.length === 0) return [];
    const value: CardValue = { collection: 'organizations', id, lines, second: '', copy: lines.join('') };
    return [uid === undefined ? value : { ...value, cardUid: uid }];
  });
  return [...posts, ...houses];
}

/** Numbers of somebody's organisation, to be reached there. */
function phonesThere(card: Card, options: ShowOptions): CardValue[] {
  if (card.kind === 'org') return [];
  return Object.values(card.organizations ?? {}).flatMap(({ name = '' }) => {
    const house = options.organisationOf?.(name);
    return house ? phones(house, options.country).map((value) => ofHouse(house, value)) : [];
  });
}

/** A value that stands on the organisation's card and is edited there. */
function ofHouse(house: Card, { preferable: _, isPreferred: __, ...value }: CardValue): CardValue {
  return {
    ...value,
    collection: 'organizations',
    id: `${house.uid} ${value.id}`,
    second: joined(shownAs(house), value.second),
  };
}

/** Who names an organisation as theirs, and as what. */
function peopleThere(card: Card, { peopleOf }: ShowOptions): CardValue[] {
  if (card.kind !== 'org' || !peopleOf) return [];
  const name = shownAs(card);
  return peopleOf(name).map((person) => {
    const shown = shownAs(person);
    const departments = Object.values(person.organizations ?? {}).flatMap(({ units = [] }) =>
      units.map((unit) => unit.name),
    );
    const posts = Object.values(person.titles ?? {}).map((title) => title.name);
    const second = joined(...posts, ...departments);
    return { collection: 'people', id: person.uid, lines: [shown], copy: shown, second, cardUid: person.uid };
  });
}

function tags(card: Card): CardValue[] {
  const words = Object.keys(card.keywords ?? {});
  return words.length === 0
    ? []
    : [{ collection: 'keywords', id: '', lines: [words.join(', ')], second: '', copy: words.join(', ') }];
}

/** Other cards; an entry whose card isn't in the book is shown by what it says itself. */
function relations(card: Card, { nameOf }: ShowOptions): CardValue[] {
  return Object.entries(card.relatedTo ?? {}).map(([uid, { relation }]) => {
    const name = nameOf?.(uid);
    const shown = name ?? uid;
    return {
      collection: 'relatedTo',
      id: uid,
      lines: [shown],
      copy: shown,
      second: joined(relationLabel(relation), name === undefined ? 'not in the book' : ''),
      ...(name === undefined ? {} : { cardUid: uid }),
    };
  });
}

/** The zone of the card, else of an address; with the time it is there now. */
function timeThere(card: Card, { timeIn }: ShowOptions): CardValue[] {
  const zones = [
    card['cordialis.example:timeZone'],
    ...Object.values(card.addresses ?? {}).map(({ timeZone }) => timeZone),
  ];
  const zone = zones.find((one) => one !== undefined);
  if (zone === undefined) return [];
  const now = timeIn?.(zone);
  return [
    {
      collection: 'timeZone',
      id: zone,
      lines: [now ?? zone],
      second: now === undefined ? '' : zone,
      copy: zone,
    },
  ];
}

/** Each field of the user's own is a group under its own name. */
function ownFields(card: Card): ValueGroup[] {
  return Object.entries(card['cordialis.example:fields'] ?? {}).map(([id, { label, value }]) => ({
    label,
    values: [
      { collection: 'cordialis.example:fields', id, lines: value.split('\n'), second: '', copy: value },
    ],
  }));
}

/** The beginning of a long address, such as one that holds its data itself. */
function shortUri(uri: string): string {
  return uri.length > 80 ? `${uri.slice(0, 60)}…` : uri;
}

function markPrivate(card: Card, group: ValueGroup): ValueGroup {
  const isPrivate = ({ collection, id }: CardValue) => {
    const entries = (card as unknown as Record<string, Record<string, unknown> | undefined>)[collection];
    const entry = entries?.[id];
    return isObject(entry) && entry['cordialis.example:private'] === true;
  };
  if (!group.values.some(isPrivate)) return group;
  const mark = (value: CardValue) =>
    isPrivate(value) ? { ...value, second: joined(value.second, 'private') } : value;
  return { ...group, values: group.values.map(mark) };
}
