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
import { DATE_LABELS, formatLabel } from '../editing';
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
    { label: 'Nickname', values: each(card.nicknames, 'nicknames', ({ name }) => [name]) },
    { label: 'Work', values: work(card) },
    {
      label: 'Languages',
      values: each(card.preferredLanguages, 'preferredLanguages', ({ language }) => [
        languageName(language, options.locale),
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
  ];
  return groups.filter(({ values }) => values.length > 0);
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

/** What the head of the page doesn't say already: further posts and organisations, and departments. */
function work(card: Card): CardValue[] {
  const [, ...posts] = each(
    card.titles,
    'titles',
    ({ name }) => [name],
    ({ kind }) => (kind === 'role' ? 'role' : ''),
  );
  const houses = each(card.organizations, 'organizations', ({ name = '', units = [] }) => [
    joined(name, ...units.map((unit) => unit.name)),
  ]);
  const isSaid = ({ lines }: CardValue, i: number) =>
    i === 0 && (lines[0] === shownAs(card) || !lines[0]?.includes(','));
  return [...posts, ...houses.filter((house, i) => !isSaid(house, i))].filter(
    ({ lines }) => lines.length > 0,
  );
}

function tags(card: Card): CardValue[] {
  const words = Object.keys(card.keywords ?? {});
  return words.length === 0
    ? []
    : [{ collection: 'keywords', id: '', lines: [words.join(', ')], second: '', copy: words.join(', ') }];
}

function languageName(tag: string, locale: string): string {
  try {
    return new Intl.DisplayNames(locale, { type: 'language' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}
