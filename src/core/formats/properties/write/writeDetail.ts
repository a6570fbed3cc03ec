import type { Anniversary, Card, Media } from '@/core/card';

import type { Params } from '../../contentLines/contentLine';
import { escapeText } from '../../contentLines/text';
import { formatDate } from '../dates';
import { type PropertySheet, writeEntry } from './writeEntry';

const DAY_NAMES: Record<string, string> = { birth: 'BDAY', death: 'DEATHDATE', wedding: 'ANNIVERSARY' };
const PLACE_NAMES: Record<string, string> = { birth: 'BIRTHPLACE', death: 'DEATHPLACE' };
const MEDIA_NAMES: Record<string, string> = { photo: 'PHOTO', logo: 'LOGO', sound: 'SOUND' };
const EXPERTISE_LEVELS: Record<string, string> = { high: 'expert', medium: 'average', low: 'beginner' };

/** Writes dates, notes, words, interests and everything that points elsewhere. */
export function writeDetail(sheet: PropertySheet, card: Card): void {
  for (const [id, entry] of Object.entries(card.anniversaries ?? {})) writeAnniversary(sheet, entry, id);
  for (const [id, entry] of Object.entries(card.notes ?? {})) {
    const params: Params = {
      ...(entry.created === undefined
        ? {}
        : { CREATED: [formatDate({ '@type': 'Timestamp', utc: entry.created }, true)] }),
      ...(entry.author?.uri === undefined ? {} : { AUTHOR: [entry.author.uri] }),
      ...(entry.author?.name === undefined ? {} : { 'AUTHOR-NAME': [entry.author.name] }),
    };
    writeEntry(sheet, 'NOTE', escapeText(entry.note), entry, { collection: 'notes', id }, params);
  }
  const words = Object.keys(card.keywords ?? {});
  if (words.length > 0) writeEntry(sheet, 'CATEGORIES', words.map(escapeText).join(','), {}, undefined);
  for (const [id, entry] of Object.entries(card.personalInfo ?? {})) {
    const level =
      entry.kind === 'expertise' ? (EXPERTISE_LEVELS[entry.level ?? ''] ?? entry.level) : entry.level;
    const params: Params = {
      ...(level === undefined ? {} : { LEVEL: [level] }),
      ...(entry.listAs === undefined ? {} : { INDEX: [String(entry.listAs)] }),
    };
    if (!['expertise', 'hobby', 'interest'].includes(entry.kind)) continue;
    writeEntry(
      sheet,
      entry.kind.toUpperCase(),
      escapeText(entry.value),
      entry,
      { collection: 'personalInfo', id },
      params,
    );
  }
  writeResources(sheet, card);
}

/** Kinds without a property of their own are left to JSPROP. */
function writeAnniversary(sheet: PropertySheet, entry: Anniversary, id: string): void {
  const name = DAY_NAMES[entry.kind];
  if (name === undefined) return;
  const scale = 'utc' in entry.date ? undefined : entry.date.calendarScale;
  const time: unknown = (entry as Record<string, unknown>)['cordialis.example:time'];
  const value =
    formatDate(entry.date, sheet.version.hasBasicDates) + (typeof time === 'string' ? `T${time}` : '');
  const params: Params = scale === undefined ? {} : { CALSCALE: [scale] };
  writeEntry(sheet, name, value, entry, { collection: 'anniversaries', id }, params);
  const placeName = PLACE_NAMES[entry.kind];
  if (placeName === undefined || !entry.place) return;
  const { coordinates, full } = entry.place;
  if (full !== undefined) writeEntry(sheet, placeName, escapeText(full), {}, undefined);
  else if (coordinates !== undefined)
    writeEntry(sheet, placeName, coordinates, {}, undefined, { VALUE: ['uri'] });
}

function writeResources(sheet: PropertySheet, card: Card): void {
  for (const [id, entry] of Object.entries(card.media ?? {})) writeMedia(sheet, entry, id);
  const resources = [
    ['links', card.links, (kind?: string) => (kind === 'contact' ? 'CONTACT-URI' : 'URL')],
    ['cryptoKeys', card.cryptoKeys, () => 'KEY'],
    ['directories', card.directories, (kind?: string) => (kind === 'directory' ? 'ORG-DIRECTORY' : 'SOURCE')],
    ['calendars', card.calendars, (kind?: string) => (kind === 'freeBusy' ? 'FBURL' : 'CALURI')],
  ] as const;
  for (const [collection, entries, nameOf] of resources) {
    for (const [id, entry] of Object.entries(entries ?? {})) {
      const index = (entry as { listAs?: number }).listAs;
      const params: Params = {
        ...(entry.mediaType === undefined ? {} : { MEDIATYPE: [entry.mediaType] }),
        ...(index === undefined ? {} : { INDEX: [String(index)] }),
      };
      writeEntry(sheet, nameOf(entry.kind), entry.uri, entry, { collection, id }, params);
    }
  }
  for (const [id, entry] of Object.entries(card.schedulingAddresses ?? {})) {
    writeEntry(sheet, 'CALADRURI', entry.uri, entry, { collection: 'schedulingAddresses', id });
  }
}

/** Bytes: a data: URI in 4.0; in 3.0 ENCODING=b with the subtype as TYPE (RFC 2426 §2.4.1). */
function writeMedia(sheet: PropertySheet, entry: Media, id: string): void {
  const name = MEDIA_NAMES[entry.kind ?? ''];
  if (name === undefined || entry.uri === undefined) return;
  const data = /^data:([\w.+/-]+);base64,(.*)$/s.exec(entry.uri);
  const params: Params = entry.mediaType === undefined ? {} : { MEDIATYPE: [entry.mediaType] };
  if (data && sheet.version.hasInlineBinary) {
    const type = data[1] ?? '';
    const family = name === 'SOUND' ? 'audio/' : 'image/';
    const inline: Params = {
      ENCODING: ['b'],
      TYPE: [type.startsWith(family) ? type.slice(family.length).toUpperCase() : type],
    };
    writeEntry(sheet, name, data[2] ?? '', entry, { collection: 'media', id }, { ...params, ...inline });
  } else {
    const uri: Params = sheet.version.hasInlineBinary ? { VALUE: ['uri'] } : {};
    writeEntry(sheet, name, entry.uri, entry, { collection: 'media', id }, { ...params, ...uri });
  }
}
