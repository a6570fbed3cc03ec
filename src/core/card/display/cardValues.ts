import { formatLanguage, formatPartialDate, isObject, toPartialDate } from '@/core/base';
import { texts } from '@/texts/card/display';

import { type LeapDayRule, nextAnniversary } from '../dates/nextAnniversary';
import { DATE_LABELS, filesOf } from '../editing/toForm';
import { formatAddress } from '../formatAddress';
import { asHeading } from '../label';
import { portraitsOf } from '../portraitOf';
import type { Anniversary, Card, Media } from '../schema/types';
import { type CardValue, each, joined, type ShowOptions, used, type ValueGroup } from './cardValue';
import { linesOfOthers } from './labelledLines';
import { peopleThere, phones, phonesThere, relations, work } from './peopleValues';
import { directionsUri, mailUri } from './reachOf';
import { safeUri } from './safeUri';

/** The values of a card in the order of the page; groups without a value are left out. */
export function cardValues(card: Card, options: ShowOptions): ValueGroup[] {
  const groups: ValueGroup[] = [
    { label: texts.phone, values: phones(card, options.country) },
    { label: texts.mail, values: mails(card) },
    { label: texts.address, values: addresses(card) },
    { label: texts.web, values: links(card) },
    { label: texts.account, values: accounts(card) },
    ...dates(card, options),
    { label: texts.people, values: relations(card, options) },
    { label: texts.localTime, values: timeThere(card, options) },
    {
      label: texts.pronouns,
      values: each(card.speakToAs?.pronouns, 'pronouns', ({ pronouns }) => [pronouns]),
    },
    { label: texts.nickname, values: each(card.nicknames, 'nicknames', ({ name }) => [name]) },
    { label: texts.work, values: work(card, options) },
    { label: texts.phoneThere, values: phonesThere(card, options) },
    { label: texts.peopleThere, values: peopleThere(card, options) },
    {
      label: texts.languages,
      values: each(card.preferredLanguages, 'preferredLanguages', ({ language }) => [
        formatLanguage(language, options.locale),
      ]),
    },
    {
      label: texts.interests,
      values: each(
        card.personalInfo,
        'personalInfo',
        ({ value }) => [value],
        ({ kind, level }) => joined(kind, level),
      ),
    },
    { label: texts.tags, values: tags(card) },
    { label: texts.note, values: each(card.notes, 'notes', ({ note }) => note.split('\n')) },
    { label: texts.files, values: files(card) },
    { label: texts.morePictures, values: pictures(card) },
    ...ownFields(card),
    ...linesOfOthers(card, options.locale),
    { label: texts.key, values: each(card.cryptoKeys, 'cryptoKeys', ({ uri }) => [shortUri(uri)]) },
  ];
  return groups.filter(({ values }) => values.length > 0).map((group) => markPrivate(card, group));
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
    const uri = directionsUri(address);
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
function dates(card: Card, { today, locale, isToKeep, leapDay }: ShowOptions): ValueGroup[] {
  return Object.entries(card.anniversaries ?? {}).map(([id, entry]) => {
    const label = entry.label ?? DATE_LABELS[entry.kind] ?? entry.kind.replace(/^.*:/, '');
    const shown = formatPartialDate(toPartialDate(entry.date), locale);
    const value = {
      collection: 'anniversaries',
      id,
      lines: [shown],
      copy: shown,
      second: isToKeep === true ? '' : comesRound(entry, today, leapDay),
    };
    return { label: asHeading(label), values: [value] };
  });
}

/** "turns 58 in 71 days". A death is remembered without counting. */
function comesRound(entry: Anniversary, today: string, leapDay: LeapDayRule | undefined): string {
  const next =
    entry.kind === 'death' ? undefined : nextAnniversary(toPartialDate(entry.date), today, leapDay);
  if (!next) return '';
  const when =
    next.daysAway === 0 ? texts.today : next.daysAway === 1 ? texts.tomorrow : texts.inDays(next.daysAway);
  if (next.years === undefined) return when;
  return entry.kind === 'birth' ? texts.turns(next.years, when) : texts.yearsThen(next.years, when);
}

function tags(card: Card): CardValue[] {
  const words = Object.keys(card.keywords ?? {});
  return words.length === 0
    ? []
    : [{ collection: 'keywords', id: '', lines: [words.join(', ')], second: '', copy: words.join(', ') }];
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

/** Files attached to the card; pressing one saves it. */
function files(card: Card): CardValue[] {
  return Object.entries(filesOf(card)).map(([id, media]) => fileValue('files', id, media, 'file'));
}

/** Pictures beside the one that the stamp shows. */
function pictures(card: Card): CardValue[] {
  return portraitsOf(card)
    .slice(1)
    .map(([id, media]) => fileValue('media', id, media, media.kind ?? 'picture'));
}

function fileValue(
  collection: string,
  id: string,
  { label, uri, blobId }: Media,
  fallback: string,
): CardValue {
  const name = label ?? fallback;
  const place = uri === undefined ? {} : { uri };
  return {
    ...{ collection, id, lines: [name], second: '', copy: name },
    file: { name, ...place, ...(blobId === undefined ? {} : { blobId }) },
  };
}

/** Each custom field is a group under its own name. */
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
