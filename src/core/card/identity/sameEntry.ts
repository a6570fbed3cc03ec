import { foldText, toPartialDate } from '@/core/base';

import { parsePhone } from '../phone/parsePhone';
import type { Card } from '../schema/types';
import { normalizeAddress } from './normalizeAddress';
import { organisationWords } from './organisationWords';

/** Collections of a card whose entries are united when cards are merged. */
export const UNITED = [
  ...(['organizations', 'titles', 'nicknames', 'emails', 'phones', 'addresses', 'onlineServices'] as const),
  ...(['links', 'anniversaries', 'personalInfo', 'preferredLanguages', 'notes', 'media'] as const),
  ...(['calendars', 'schedulingAddresses', 'directories', 'cryptoKeys'] as const),
  ...(['cordialis.example:fields', 'cordialis.example:followUps', 'cordialis.example:meetings'] as const),
] as const;

/** One of them. */
export type United = (typeof UNITED)[number];

/** An entry of any collection. */
export type Entry = Readonly<Record<string, unknown>>;

/**
 * What an entry means, as a text that is equal for entries of one meaning: the same number written in two ways, an
 * address with other capitals, a firm with and without its legal form.
 *
 * @param country - ISO 3166-1 alpha-2, for numbers without a country code
 */
export function meaningOf(collection: United, entry: Entry, country: string | undefined): string {
  return knownMeaning(collection, entry, country).trim() || asItStands(entry);
}

/** An entry without anything comparable equals only one that is identical. */
function asItStands(entry: Entry): string {
  return JSON.stringify(Object.entries(entry).sort(([a], [b]) => (a < b ? -1 : 1)));
}

function knownMeaning(collection: United, entry: Entry, country: string | undefined): string {
  switch (collection) {
    case 'phones':
      return (
        parsePhone(textOf(entry['number']), country)?.e164 ?? textOf(entry['number']).replace(/[^\d+]/g, '')
      );
    case 'emails':
      return normalizeAddress(textOf(entry['address']));
    case 'organizations':
      return organisationWords(textOf(entry['name'])).join(' ');
    case 'titles':
      return `${textOf(entry['kind'] ?? 'title')} ${plain(entry['name'])}`;
    case 'nicknames':
      return plain(entry['name']);
    case 'addresses':
      return addressMeaning(entry as NonNullable<Card['addresses']>[string]);
    case 'onlineServices':
      return `${plain(entry['service'])} ${plain(entry['uri'] ?? entry['user'])}`;
    case 'anniversaries': {
      const { kind, date } = entry as NonNullable<Card['anniversaries']>[string];
      const { year = '', month = '', day = '' } = toPartialDate(date);
      return `${kind} ${year}-${month}-${day}`;
    }
    case 'notes':
      return textOf(entry['note']).trim();
    case 'preferredLanguages':
      return plain(entry['language']);
    case 'personalInfo':
      return `${textOf(entry['kind'])} ${plain(entry['value'])}`;
    case 'links':
    case 'calendars':
    case 'directories':
    case 'schedulingAddresses':
    case 'cryptoKeys':
      return textOf(entry['uri']).replace(/\/+$/, '');
    case 'media':
      return `${textOf(entry['kind'])} ${textOf(entry['uri'] ?? entry['blobId'])}`;
    case 'cordialis.example:fields':
    case 'cordialis.example:followUps':
    case 'cordialis.example:meetings':
      return asItStands(entry);
  }
}

function addressMeaning({ components = [], full = '' }: NonNullable<Card['addresses']>[string]): string {
  const parts = components.filter(({ kind }) => kind !== 'separator' && kind !== 'country');
  const text = parts.length > 0 ? parts.map(({ value }) => value).join(' ') : full;
  return foldText(text)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
}

function plain(value: unknown): string {
  return foldText(textOf(value)).replace(/\s+/g, ' ').trim();
}

function textOf(value: unknown): string {
  return typeof value === 'string' ? value : '';
}
