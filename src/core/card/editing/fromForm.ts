import { parseLanguage, parseTypedDate } from '@/core/base';

import { idFor } from '../nextId';
import { portraitOf } from '../portraitOf';
import { parseRelation } from '../relations/relationWords';
import type { Address, Anniversary, Card, OnlineService } from '../schema/types';
import type { CardForm } from './cardForm';
import { putName } from './putName';
import { isSameRow, put, putRows } from './putRows';
import { putWork } from './putWork';
import { DATE_LABELS, FILE_KIND, filesOf, toForm } from './toForm';

/** What reading the form needs besides the form and the card. */
export interface FormContext {
  readonly locale?: string;
  /** Finds the code of a country by its name, ISO 3166-1 alpha-2. */
  readonly findCountryCode?: (name: string) => string | undefined;
  /** What another card is called, as the form was told when it began. */
  readonly nameOf?: (uid: string) => string | undefined;
}

/**
 * The card as the form has it. What the form doesn't show stays, and a value whose text has not been touched stays
 * exactly as it was, however it was written. A relation without an id is left out: whoever saves has to find or make
 * its card first.
 */
export function fromForm(card: Card, form: CardForm, context: FormContext = {}): Card {
  const before = toForm(card, context);
  const next: Card = { ...card };
  if (form.kind === 'org') next.kind = 'org';
  else if (card.kind === 'org') next.kind = 'individual';
  if (form.isPrivate !== before.isPrivate)
    put(next, 'cordialis.example:private', form.isPrivate || undefined);
  if (form.photo !== before.photo) putPhoto(next, form);
  if (!isSameRow(form.files, before.files)) putFiles(next, form.files);
  putName(next, form, before);
  putLine(next, 'nicknames', form.nickname, before.nickname, 'name', (name) => name);
  putPronouns(next, form.pronouns, before.pronouns);
  putWork(next, form.work, before.work);
  putReach(next, form, before, context);
  putRows(next, 'anniversaries', form.dates, before.dates, (row, old) =>
    dateFrom(row, old as Anniversary | undefined, context),
  );
  putRows(
    next,
    'personalInfo',
    form.infos,
    before.infos,
    ({ label, text }, old) => text.trim() && { ...old, kind: label.trim() || 'interest', value: text.trim() },
  );
  putLine(next, 'preferredLanguages', form.languages, before.languages, 'language', (name) =>
    parseLanguage(name, context.locale),
  );
  if (form.timeZone !== before.timeZone)
    put(next, 'cordialis.example:timeZone', form.timeZone.trim() || undefined);
  if (form.ring !== before.ring) put(next, 'cordialis.example:ring', form.ring || undefined);
  putTags(next, form.tags, before.tags);
  putRelations(next, form.relations, before.relations);
  putRows(
    next,
    'notes',
    form.notes,
    before.notes,
    ({ text }, old) => text.trim() && { ...old, note: text.trim() },
  );
  putRows(
    next,
    'cordialis.example:fields',
    form.ownFields,
    before.ownFields,
    ({ label, text }, old) =>
      text.trim() && { ...old, label: label.trim() || 'custom field', value: text.trim() },
  );
  putRows(
    next,
    'cryptoKeys',
    form.keys,
    before.keys,
    ({ text }, old) => text.trim() && { ...old, uri: text.trim() },
  );
  return next;
}

function putReach(next: Card, form: CardForm, before: CardForm, context: FormContext): void {
  putRows(
    next,
    'phones',
    form.phones,
    before.phones,
    ({ number }, old) => number.trim() && { ...old, number: number.trim() },
  );
  putRows(next, 'emails', form.emails, before.emails, ({ address, shownAs }, old) => {
    const { 'cordialis.example:shownAs': _, ...rest } = (old ?? {}) as Record<string, unknown>;
    const shown = shownAs.trim() === '' ? {} : { 'cordialis.example:shownAs': shownAs.trim() };
    return address.trim() && { ...rest, address: address.trim(), ...shown };
  });
  putRows(next, 'onlineServices', form.accounts, before.accounts, (row, old) =>
    accountFrom(row, old as OnlineService | undefined),
  );
  putRows(
    next,
    'links',
    form.links,
    before.links,
    ({ uri }, old) => uri.trim() && { ...old, uri: webUri(uri.trim()) },
  );
  putRows(next, 'addresses', form.addresses, before.addresses, (row, old) =>
    addressFrom(row, old as Address | undefined, context),
  );
}

/** The portrait replaces the one that was shown; other media stay. */
function putPhoto(card: Card, { photo, kind }: CardForm): void {
  const entries = Object.entries(card.media ?? {});
  const shown = portraitOf(card)?.[0];
  const media = Object.fromEntries(entries.filter(([id]) => id !== shown));
  const portrait = { kind: kind === 'org' ? 'logo' : 'photo', uri: photo } as const;
  if (photo !== '') media[shown ?? idFor('media', portrait, card.media)] = portrait;
  put(card, 'media', Object.keys(media).length === 0 ? undefined : media);
}

/** A card with one more file. @param uri - a data: URI */
export function withFile(card: Card, label: string, uri: string): Card {
  const file = { kind: FILE_KIND, label, uri };
  return { ...card, media: { ...card.media, [idFor('media', file, card.media)]: file } };
}

/** Files in the order of the form; other media stay before them. */
function putFiles(card: Card, files: CardForm['files']): void {
  const old = filesOf(card);
  const media: NonNullable<Card['media']> = Object.fromEntries(
    Object.entries(card.media ?? {}).filter(([id]) => !Object.hasOwn(old, id)),
  );
  for (const { id, text, uri } of files) {
    const known = Object.hasOwn(old, id) ? old[id] : undefined;
    if (known) media[id] = { ...known, label: text.trim() || 'file' };
    else if (uri.startsWith('data:')) {
      const file = { kind: FILE_KIND, label: text.trim() || 'file', uri };
      media[idFor('media', file, { ...card.media, ...media })] = file;
    }
  }
  put(card, 'media', Object.keys(media).length === 0 ? undefined : media);
}

/** Entries that the form has as one line with commas between; each that is still named stays as it was. */
function putLine(
  card: Card,
  collection: 'nicknames' | 'preferredLanguages',
  line: string,
  before: string,
  property: 'name' | 'language',
  parse: (text: string) => string,
): void {
  if (line === before) return;
  const old = Object.entries((card[collection] ?? {}) as Record<string, Record<string, unknown>>);
  const entries: Record<string, object> = {};
  for (const text of line.split(/[,;、]/)) {
    if (text.trim() === '') continue;
    const value = parse(text.trim());
    const known = old.find(([, entry]) => entry[property] === value);
    const entry = known?.[1] ?? { [property]: value };
    entries[known?.[0] ?? idFor(collection, entry, { ...card[collection], ...entries })] = entry;
  }
  put(card, collection, Object.keys(entries).length === 0 ? undefined : (entries as never));
}

function putPronouns(card: Card, text: string, before: string): void {
  if (text === before) return;
  const { pronouns = {}, ...rest } = card.speakToAs ?? {};
  const [first = 'r1', ...others] = Object.keys(pronouns);
  const kept = Object.fromEntries(others.map((id) => [id, pronouns[id] ?? { pronouns: '' }]));
  const wished =
    text.trim() === '' ? kept : { [first]: { ...pronouns[first], pronouns: text.trim() }, ...kept };
  const speakToAs = Object.keys(wished).length === 0 ? rest : { ...rest, pronouns: wished };
  put(card, 'speakToAs', Object.keys(speakToAs).length === 0 ? undefined : speakToAs);
}

function putTags(card: Card, line: string, before: string): void {
  if (line === before) return;
  const words = line.split(',').flatMap((word) => (word.trim() === '' ? [] : [word.trim()]));
  put(
    card,
    'keywords',
    words.length === 0 ? undefined : Object.fromEntries(words.map((word) => [word, true])),
  );
}

function putRelations(card: Card, rows: CardForm['relations'], before: CardForm['relations']): void {
  if (isSameRow(rows, before)) return;
  const related: NonNullable<Card['relatedTo']> = {};
  for (const { id, label, text } of rows) {
    if (id === '' || text.trim() === '') continue;
    const was = before.find((row) => row.id === id);
    const old = card.relatedTo?.[id] ?? {};
    related[id] = was?.label === label ? old : { ...old, relation: parseRelation(label) };
  }
  put(card, 'relatedTo', Object.keys(related).length === 0 ? undefined : related);
}

/** A name on a service, or an address of it with a scheme. */
function accountFrom(
  { label, text }: CardForm['accounts'][number],
  old: OnlineService | undefined,
): object | '' {
  const value = text.trim();
  const { service: _, user, uri, ...rest } = old ?? {};
  if (value === '') return '';
  const service = label.trim() === '' ? {} : { service: label.trim() };
  if (value === (user ?? uri))
    return {
      ...rest,
      ...(user === undefined ? {} : { user }),
      ...(uri === undefined ? {} : { uri }),
      ...service,
    };
  return /^[a-z][\w+.-]*:\S+$/i.test(value)
    ? { ...rest, uri: value, ...service }
    : { ...rest, user: value, ...service };
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
