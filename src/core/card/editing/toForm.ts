import { formatLanguage, formatPartialDate, toPartialDate } from '@/core/base';

import { formatLabel } from '../label';
import { formatName } from '../name/formatName';
import { nameParts } from '../name/nameParts';
import { portraitOf } from '../portraitOf';
import { relationLabel } from '../relations/relationWords';
import type { Address, Card, Media } from '../schema/types';
import type { CardForm } from './cardForm';

/** Our words for the kinds of anniversaries of RFC 9553 §2.8.1. */
export const DATE_LABELS: Readonly<Record<string, string>> = {
  birth: 'birthday',
  wedding: 'wedding day',
  death: 'death',
};

/** What the form needs besides the card. */
export interface ToFormOptions {
  /** For dates and languages in words. */
  readonly locale?: string | undefined;
  /** What another card is called; its uid where it isn't known. */
  readonly nameOf?: (uid: string) => string | undefined;
}

/** What the editing page shows of a card. */
export function toForm(card: Card, { locale, nameOf }: ToFormOptions = {}): CardForm {
  return {
    kind: card.kind === 'org' ? 'org' : 'individual',
    isPrivate: card['cordialis.example:private'] === true,
    photo: photoOf(card),
    name: formatName(card.name),
    parts: toPartsForm(card),
    nickname: Object.values(card.nicknames ?? {})
      .map(({ name }) => name)
      .join(', '),
    pronouns: Object.values(card.speakToAs?.pronouns ?? {})[0]?.pronouns ?? '',
    work: toWorkForm(card),
    phones: each(card.phones, ({ number, ...use }) => ({
      number: number.replace(/^tel:/, ''),
      ...used(use),
    })),
    emails: each(card.emails, ({ address, ...use }) => ({
      address,
      shownAs: textOf(use, 'cordialis.example:shownAs'),
      ...used(use),
    })),
    accounts: each(card.onlineServices, (entry) => ({
      label: entry.service ?? '',
      text: entry.user ?? entry.uri ?? '',
      ...guarded(entry),
    })),
    addresses: each(card.addresses, (entry) => ({
      label: formatLabel(withoutPost(entry)),
      isPost: entry.contexts?.['delivery'] === true,
      ...guarded(entry),
      ...toAddressForm(entry),
    })),
    links: each(card.links, ({ uri, ...use }) => ({ uri, label: formatLabel(use), ...guarded(use) })),
    dates: each(card.anniversaries, (entry) => ({
      label: entry.label ?? DATE_LABELS[entry.kind] ?? entry.kind.replace(/^.*:/, ''),
      text: formatPartialDate(toPartialDate(entry.date), locale),
      ...guarded(entry),
    })),
    infos: each(card.personalInfo, ({ kind, value }) => ({ label: kind, text: value })),
    relations: Object.entries(card.relatedTo ?? {}).map(([uid, { relation }]) => ({
      id: uid,
      label: relationLabel(relation),
      text: nameOf?.(uid) ?? uid,
    })),
    languages: Object.values(card.preferredLanguages ?? {})
      .map(({ language }) => formatLanguage(language, locale))
      .join(', '),
    timeZone: textOf(card, 'cordialis.example:timeZone'),
    ring: textOf(card, 'cordialis.example:ring'),
    tags: Object.keys(card.keywords ?? {}).join(', '),
    notes: each(card.notes, ({ note, ...rest }) => ({ text: note, ...guarded(rest) })),
    ownFields: each(card['cordialis.example:fields'], ({ label, value, ...rest }) => ({
      label,
      text: value,
      ...guarded(rest),
    })),
    keys: each(card.cryptoKeys, ({ uri }) => ({ text: uri })),
    files: each(filesOf(card), ({ label, uri, blobId }) => ({
      text: label ?? 'file',
      uri: uri ?? (blobId === undefined ? '' : `blob:${blobId}`),
    })),
  };
}

/** The portrait, whichever way it is kept. */
function photoOf(card: Card): string {
  const entry = portraitOf(card)?.[1];
  if (!entry) return '';
  return entry.uri ?? (entry.blobId === undefined ? '' : `blob:${entry.blobId}`);
}

/** The kind of a medium that is a file of the user's (RFC 9553 §1.7.2). */
export const FILE_KIND = 'cordialis.example:file';

/** The files that belong to a card, by their ids. */
export function filesOf(card: Card): Record<string, Media> {
  return Object.fromEntries(Object.entries(card.media ?? {}).filter(([, { kind }]) => kind === FILE_KIND));
}

function toPartsForm({ name }: Card): CardForm['parts'] {
  const soundOf = (kind: string) =>
    (name?.components ?? [])
      .filter((component) => component.kind === kind)
      .flatMap(({ phonetic }) => phonetic ?? [])
      .join(' ');
  return {
    title: nameParts(name, 'title'),
    given: nameParts(name, 'given'),
    given2: nameParts(name, 'given2'),
    surname: nameParts(name, 'surname'),
    surname2: nameParts(name, 'surname2'),
    generation: nameParts(name, 'generation'),
    credential: nameParts(name, 'credential'),
    givenSound: soundOf('given'),
    surnameSound: soundOf('surname'),
    sortedAs: name?.sortAs?.['surname'] ?? '',
  };
}

/** A row for each organisation with the post and the role there; posts without one stand with the first, or alone. */
function toWorkForm(card: Card): CardForm['work'] {
  const houses = Object.entries(card.organizations ?? {});
  const rows: CardForm['work'] = houses.map(([id, { name = '', units = [] }]) => ({
    ...BLANK_WORK,
    id,
    organization: name,
    unit: units.map((unit) => unit.name).join('; '),
  }));
  for (const [titleId, { name, kind, organizationId }] of Object.entries(card.titles ?? {})) {
    const [field, idField] = kind === 'role' ? (['role', 'roleId'] as const) : (['post', 'postId'] as const);
    const place =
      organizationId === undefined
        ? rows.find((row) => row[idField] === '')
        : rows.find((row) => row.id === organizationId && row[idField] === '');
    const target = place ?? { ...BLANK_WORK };
    if (!place) rows.push(target);
    target[field] = name;
    target[idField] = titleId;
  }
  return rows.length === 0 ? [{ ...BLANK_WORK }] : rows;
}

/** A place of work about which nothing is said yet. */
export const BLANK_WORK: CardForm['work'][number] = {
  id: '',
  postId: '',
  roleId: '',
  organization: '',
  unit: '',
  post: '',
  role: '',
};

/** Whether letters go there is said apart from the label. */
function withoutPost({ contexts, ...rest }: Address): Address {
  const { delivery: _, ...others } = contexts ?? {};
  return { ...rest, contexts: others };
}

/** The lines of an address that are edited apart; what else it has is kept beside them. */
export function toAddressForm(
  entry: Address,
): Omit<CardForm['addresses'][number], 'id' | 'label' | 'isPost' | 'isPrivate'> {
  const of = (...kinds: string[]) =>
    (entry.components ?? [])
      .filter(({ kind }) => kinds.includes(kind))
      .map(({ value }) => value)
      .join(' ');
  const hasParts = (entry.components ?? []).length > 0;
  return {
    street: hasParts ? of('number', 'name') : (entry.full ?? ''),
    postcode: of('postcode'),
    locality: of('locality'),
    region: of('region'),
    country: of('country'),
  };
}

function used(use: Parameters<typeof formatLabel>[0] & { readonly pref?: number }) {
  return { label: formatLabel(use), isPreferred: use.pref === 1, ...guarded(use) };
}

function guarded(entry: object) {
  return { isPrivate: (entry as Record<string, unknown>)['cordialis.example:private'] === true };
}

/** A vendor property of the card or of an entry, where it is a text. */
function textOf(entry: object, property: string): string {
  const value = (entry as Record<string, unknown>)[property];
  return typeof value === 'string' ? value : '';
}

function each<T, U extends object>(
  entries: Readonly<Record<string, T>> | undefined,
  map: (entry: T) => U,
): (U & { id: string })[] {
  return Object.entries(entries ?? {}).map(([id, entry]) => ({ id, ...map(entry) }));
}
