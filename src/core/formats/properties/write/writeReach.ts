import type { Address, Card, OnlineService } from '@/core/card';

import type { Params } from '../../contentLines/contentLine';
import { escapePart, escapeText } from '../../contentLines/text';
import { ADR_KINDS, FIRST_LONG_PLACE } from '../read/readAddressComponents';
import { type EntryUse, type PropertySheet, writeEntry } from './writeEntry';
import { isWrittenAsPhonetic, writePhonetic } from './writePhonetic';
import { writePositions } from './writePositions';

/** Writes the ways in which somebody is reached. */
export function writeReach(sheet: PropertySheet, card: Card): void {
  for (const [id, entry] of Object.entries(card.phones ?? {})) {
    const params: Params =
      entry.number.startsWith('tel:') && !sheet.version.prefersByType ? { VALUE: ['uri'] } : {};
    const value = params['VALUE'] ? entry.number : escapeText(entry.number);
    writeEntry(sheet, 'TEL', value, entry, { collection: 'phones', id }, params);
  }
  for (const [id, entry] of Object.entries(card.emails ?? {})) {
    writeEntry(sheet, 'EMAIL', escapeText(entry.address), entry, { collection: 'emails', id });
  }
  for (const [id, entry] of Object.entries(card.addresses ?? {})) writeAddress(sheet, entry, id);
  for (const [id, entry] of Object.entries(card.onlineServices ?? {})) writeService(sheet, entry, id);
  for (const [id, entry] of Object.entries(card.preferredLanguages ?? {})) {
    writeEntry(sheet, 'LANG', entry.language, entry, { collection: 'preferredLanguages', id });
  }
}

function writeService(sheet: PropertySheet, entry: OnlineService, id: string): void {
  const isUser = entry.uri === undefined;
  const params: Params = {
    ...(isUser ? { VALUE: ['text'] } : {}),
    ...(entry.service === undefined ? {} : { 'SERVICE-TYPE': [entry.service] }),
    ...(entry.user === undefined || isUser ? {} : { USERNAME: [entry.user] }),
  };
  const value = entry.uri ?? escapeText(entry.user ?? '');
  const name = entry.vCardName === 'impp' ? 'IMPP' : 'SOCIALPROFILE';
  writeEntry(sheet, name, value, entry, { collection: 'onlineServices', id }, params);
}

function writeAddress(sheet: PropertySheet, entry: Address, id: string): void {
  const { hasLongNames, hasLabelProperty } = sheet.version;
  const components = entry.components ?? [];
  const isLong = hasLongNames && components.some(({ kind }) => FIRST_LONG.has(kind));
  const places: string[][] = ADR_KINDS.map(() => []);
  const spots = components.map(({ kind, value }) => {
    const place = placeOfKind(kind, isLong);
    if (place === -1 || value === '') return undefined;
    places[place]?.push(value);
    return [place, (places[place]?.length ?? 1) - 1] as const;
  });
  if (isLong || !hasLongNames) repeatForOlderReaders(entry, places);
  const params: Params = {};
  const positions = entry.isOrdered === true ? writePositions(entry, components, spots) : undefined;
  if (positions !== undefined) params['JSCOMPS'] = [positions];
  if (entry.full !== undefined && !hasLabelProperty) params['LABEL'] = [entry.full];
  if (entry.countryCode !== undefined) params['CC'] = [entry.countryCode];
  if (entry.coordinates !== undefined) params['GEO'] = [entry.coordinates];
  if (entry.timeZone !== undefined) params['TZ'] = [entry.timeZone];
  const value = places
    .slice(0, isLong ? ADR_KINDS.length : FIRST_LONG_PLACE)
    .map((values) => values.map(escapePart).join(','));
  // ALTIDs of names and addresses may be the same; the property's name tells them apart.
  const isSpoken = isWrittenAsPhonetic(sheet, entry, ADR_KINDS);
  if (isSpoken) params['ALTID'] = [id];
  writeEntry(sheet, 'ADR', value.join(';'), entry, { collection: 'addresses', id }, params);
  if (isSpoken) writePhonetic(sheet, 'ADR', entry, ADR_KINDS, id);
  if (entry.full !== undefined && hasLabelProperty)
    writeEntry(sheet, 'LABEL', escapeText(entry.full), typesOf(entry), undefined);
}

/** What a layout says of its use, so that it is told which address it is of. */
function typesOf({ contexts, vCardParams }: Address): EntryUse {
  const type = vCardParams?.['type'];
  return { ...(contexts ? { contexts } : {}), ...(type === undefined ? {} : { vCardParams: { type } }) };
}

/** Kinds that only the longer form has a place for. */
const FIRST_LONG = new Set<string>(
  ADR_KINDS.slice(FIRST_LONG_PLACE).filter((kind) => kind !== 'apartment' && kind !== 'name'),
);

function placeOfKind(kind: string, isLong: boolean): number {
  const known: readonly string[] = ADR_KINDS;
  if (isLong) return known.lastIndexOf(kind);
  return known.slice(0, FIRST_LONG_PLACE).indexOf(kind);
}

/** RFC 9554 §2.1: places 1 and 2 say the same in the older way, for readers that know no more. */
function repeatForOlderReaders(entry: Address, places: string[][]): void {
  const of = (...kinds: string[]) =>
    (entry.components ?? [])
      .filter(({ kind, value }) => kinds.includes(kind) && value !== '')
      .map(({ value }) => value);
  const inside = of('building', 'floor', 'room', 'apartment');
  const street = [
    ...of('number'),
    ...of('name'),
    ...of('block', 'direction', 'landmark', 'subdistrict', 'district'),
  ];
  places[1] = inside.length > 0 ? [inside.join(' ')] : [];
  places[2] = street.length > 0 ? [street.join(' ')] : [];
}
