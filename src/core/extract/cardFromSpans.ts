import { type Address, type Card, nextId, parsePhone, type Phone } from '@/core/card';

import { addressesFrom } from './addressesFrom';
import { parseBirthday } from './findBirthday';
import { homeOf } from './homeOf';
import { nameFrom } from './nameFrom';
import { EXTENSION } from './phoneWords';
import { plainText } from './plainText';
import type { ExtractOptions, SpanField, TextSpan } from './spans';
import { textLines } from './textLines';

/**
 * Makes a card of the marked stretches of a text: numbers in E.164, an address for each town, the name in its parts;
 * a text without a person's name gives an organisation's card.
 *
 * @param empty - the card that is filled; not changed
 */
export function cardFromSpans(
  text: string,
  marks: readonly TextSpan[],
  empty: Card,
  options: ExtractOptions = {},
): Card {
  const plain = plainText(text);
  const addresses = addressesFrom(text, marks);
  const home =
    addresses.find(({ countryCode }) => countryCode !== undefined)?.countryCode ??
    homeOf(plain, textLines(plain), marks, options.country);
  const of = (field: SpanField) =>
    marks.filter((mark) => mark.field === field).map((mark) => valueOf(text, mark));
  const card: Card = structuredClone(empty);
  const [name] = of('name');
  const [house] = of('organisation');
  if (name !== undefined) {
    const [called, nickname] = nicknameIn(name);
    card.name = nameFrom(called, of('sounds')[0], home);
    if (nickname !== undefined) card.nicknames = { [nextId('nicknames')]: { name: nickname } };
  } else if (house !== undefined) {
    card.kind = 'org';
    card.name = { full: house };
  }
  putWork(card, name === undefined ? undefined : house, of('department'), of('post'));
  putReach(card, text, marks, home);
  putAll(
    card,
    'addresses',
    addresses.map((address) => withCountry(address, home)),
  );
  const [pronouns] = of('pronouns');
  if (pronouns !== undefined)
    card.speakToAs = { pronouns: { [nextId('pronouns')]: { pronouns: pronouns.replace(/\s/g, '') } } };
  const [born] = of('birthday');
  const date = born === undefined ? undefined : parseBirthday(plainText(born));
  if (date) card.anniversaries = { [nextId('anniversaries')]: { kind: 'birth', date } };
  putAll(
    card,
    'notes',
    of('note').map((note) => ({ note })),
  );
  return card;
}

/** 'Robert "Bob" Hayes' as a name and a nickname. */
function nicknameIn(name: string): [string, string | undefined] {
  const match = /\s*["“„«]([^"”“»]+)["”“»]\s*/.exec(name);
  return match ? [name.replace(match[0], ' ').trim(), match[1]] : [name, undefined];
}

function valueOf(text: string, { start, end }: TextSpan): string {
  return text.slice(start, end).replace(/\s+/g, ' ').trim();
}

/** Entries with ids of their own. */
function putAll(
  card: Card,
  collection: 'addresses' | 'notes' | 'phones' | 'emails' | 'links' | 'onlineServices',
  values: readonly object[],
): void {
  const entries: Record<string, object> = {};
  for (const value of values) entries[nextId(collection, entries)] = value;
  if (values.length > 0) Object.assign(card, { [collection]: entries });
}

function putWork(
  card: Card,
  house: string | undefined,
  units: readonly string[],
  posts: readonly string[],
): void {
  if (house !== undefined || units.length > 0)
    card.organizations = {
      [nextId('organizations')]: {
        ...(house === undefined ? {} : { name: house }),
        ...(units.length === 0 ? {} : { units: units.map((name) => ({ name })) }),
      },
    };
  const titles: NonNullable<Card['titles']> = {};
  for (const name of posts) titles[nextId('titles', titles)] = { name, kind: 'title' };
  if (posts.length > 0) card.titles = titles;
}

function putReach(card: Card, text: string, marks: readonly TextSpan[], home: string | undefined): void {
  const phones = new Map<string, Phone>();
  const mails = new Map<string, object>();
  const links = new Map<string, object>();
  const accounts: object[] = [];
  for (const mark of marks) {
    const shown = plainText(valueOf(text, mark));
    const contexts = mark.context === undefined ? {} : { contexts: { [mark.context]: true as const } };
    if (mark.field === 'phone' || mark.field === 'mobile' || mark.field === 'fax') {
      const number = toE164(shown, home);
      if (!phones.has(number)) phones.set(number, { number, ...featuresOf(mark), ...contexts });
    } else if (mark.field === 'mail') {
      const address = plainMail(shown);
      mails.set(address.toLowerCase(), { address, ...contexts });
    } else if (mark.field === 'link') {
      const uri = /^https?:/i.test(shown) ? shown : `https://${shown}`;
      links.set(plainLink(uri), { uri, ...contexts });
    } else if (mark.field === 'account') accounts.push(accountFrom(shown, mark.service));
  }
  putAll(card, 'phones', [...phones.values()]);
  putAll(card, 'emails', [...mails.values()]);
  putAll(card, 'links', [...links.values()]);
  putAll(card, 'onlineServices', accounts);
}

/** A web address as two are compared. */
function plainLink(uri: string): string {
  return uri.replace(/^https?:\/\/(?:www\.)?|\/$/gi, '').toLowerCase();
}

const BEFORE_EXTENSION = new RegExp(`[\\s,(]*(?:ext\\.?|extension|x|${EXTENSION})[ .:]{0,2}(?=\\d)`, 'iu');

/** A number as E.164, with its extension as RFC 3966 has it; as written where no country can be told. */
function toE164(shown: string, home: string | undefined): string {
  const bare = shown
    .replace(/\(\s?0\s?\)/, '')
    .replace(/^\(?\+\s?/, '+')
    .replace(/^\((\+\d+)\)/, '$1');
  const parsed = parsePhone(bare.replace(BEFORE_EXTENSION, ' ext. '), home);
  if (!parsed) return shown;
  return parsed.extension === undefined ? parsed.e164 : `tel:${parsed.e164};ext=${parsed.extension}`;
}

function featuresOf({ field, alsoFax }: TextSpan): Pick<Phone, 'features'> {
  if (field === 'mobile') return { features: { mobile: true } };
  if (field === 'fax') return { features: { fax: true } };
  return alsoFax === true ? { features: { voice: true, fax: true } } : { features: { voice: true } };
}

function plainMail(shown: string): string {
  return shown.replace(/\s*(?:\((?:at|a)\)|\[(?:at|a)\]|@)\s*/i, '@');
}

/** A handle, an address of the federated kind (acct:, RFC 7565) or a page whose address ends in a handle. */
function accountFrom(shown: string, service: string | undefined): object {
  const named = service === undefined ? {} : { service };
  if (/^[a-z]+:/i.test(shown)) {
    const host = /^https?:\/\/(?:www\.)?([^/]+)/i.exec(shown)?.[1];
    const user = /\/(@[\w.]+)\/?$/.exec(shown)?.[1];
    return {
      ...(host === undefined ? named : { service: host }),
      uri: shown,
      ...(user === undefined ? {} : { user }),
    };
  }
  if (/^@[^@]+@/.test(shown)) return { ...named, uri: `acct:${shown.slice(1)}`, user: shown };
  return { ...named, user: shown };
}

function withCountry(address: Address, home: string | undefined): Address {
  return address.countryCode === undefined && home !== undefined
    ? { ...address, countryCode: home }
    : address;
}
