import { isSameJson } from '@/core/base';
import type { Address } from '@/core/card';

import type { ContentLine } from '../../contentLines/contentLine';
import { readCompound, unescapeText } from '../../contentLines/text';
import { addEntry, type Draft, type PropertyReader } from './draft';
import { ADR_KINDS, readAddressComponents } from './readAddressComponents';
import { readPositions } from './readPositions';
import { CONTEXT_TYPES, readUse, type TypeTable } from './readUse';

/** RFC 9555 §2.7.1, RFC 6350 §6.4.1: what TYPE says of a phone. */
const PHONE_TYPES: TypeTable = {
  ...CONTEXT_TYPES,
  cell: ['features', 'mobile'],
  voice: ['features', 'voice'],
  text: ['features', 'text'],
  video: ['features', 'video'],
  fax: ['features', 'fax'],
  pager: ['features', 'pager'],
  textphone: ['features', 'textphone'],
  'main-number': ['features', 'main-number'],
};

/** RFC 9554 §5.1: addresses may also be for bills and for deliveries. */
const ADDRESS_TYPES: TypeTable = {
  ...CONTEXT_TYPES,
  billing: ['contexts', 'billing'],
  delivery: ['contexts', 'delivery'],
};

const readTel: PropertyReader = (draft, line) => {
  const number = unescapeText(line.value).trim();
  return number === ''
    ? undefined
    : addEntry(draft, 'phones', line, { number, ...readUse(draft, line, PHONE_TYPES) });
};

/** EMAIL. TYPE=INTERNET is the default of vCard 3.0 (RFC 2426 §3.3.2) and says nothing. */
const readEmail: PropertyReader = (draft, line) => {
  const address = unescapeText(line.value).trim();
  if (address === '') return undefined;
  const isDefault = (type: string) => type.toLowerCase() === 'internet';
  const types = line.params['TYPE'] ?? [];
  const plain: ContentLine = types.some(isDefault)
    ? { ...line, params: { ...line.params, TYPE: types.filter((type) => !isDefault(type)) } }
    : line;
  return addEntry(draft, 'emails', line, { address, ...readUse(draft, plain) });
};

const readImpp: PropertyReader = (draft, line) => {
  const uri = unescapeText(line.value).trim();
  if (uri === '') return undefined;
  return addEntry(draft, 'onlineServices', line, { uri, vCardName: 'impp', ...serviceOf(draft, line) });
};

/** SOCIALPROFILE (RFC 9554 §2.6): a URI unless VALUE says that it is the user's name there. */
const readSocialProfile: PropertyReader = (draft, line) => {
  const value = unescapeText(line.value).trim();
  if (value === '') return undefined;
  const isText = line.params['VALUE']?.[0]?.toLowerCase() === 'text';
  return addEntry(draft, 'onlineServices', line, {
    ...(isText ? { user: value } : { uri: value }),
    ...serviceOf(draft, line),
  });
};

function serviceOf(draft: Draft, line: ContentLine): object {
  const [service, user] = [line.params['SERVICE-TYPE']?.[0], line.params['USERNAME']?.[0]];
  return {
    ...(service === undefined ? {} : { service }),
    ...(user === undefined ? {} : { user }),
    ...readUse(draft, line, undefined, ['SERVICE-TYPE', 'USERNAME']),
  };
}

const readLang: PropertyReader = (draft, line) => {
  const language = line.value.trim();
  return language === ''
    ? undefined
    : addEntry(draft, 'preferredLanguages', line, { language, ...readUse(draft, line) });
};

const readAdr: PropertyReader = (draft, line) => {
  const places = readCompound(line.value);
  const ordered = readPositions(line.params['JSCOMPS']?.[0], places, ADR_KINDS);
  const components = readAddressComponents(places);
  const [label, country, geo, zone] = ['LABEL', 'CC', 'GEO', 'TZ'].map((name) => line.params[name]?.[0]);
  // Line breaks by RFC 6868 have been read; RFC 6350's own example has them as in a value.
  const full = label?.replace(/\\n/gi, '\n');
  if (components.length === 0 && full === undefined) return undefined;
  const path = addEntry(draft, 'addresses', line, {
    ...(ordered ?? (components.length > 0 ? { components } : {})),
    ...(full === undefined ? {} : { full }),
    ...(country === undefined ? {} : { countryCode: country }),
    ...(geo === undefined ? {} : { coordinates: geo }),
    ...(zone === undefined ? {} : { timeZone: zone }),
    ...readUse(draft, line, ADDRESS_TYPES, ['JSCOMPS', 'LABEL', 'CC', 'GEO', 'TZ']),
  });
  draft.addressOf.set(line, path[1]);
  return path;
};

/**
 * LABEL of vCard 3.0 (RFC 2426 §3.2.2): the layout of the address right before it, where the two say the same of their use; else of the
 * first address of its types that has none yet.
 */
const readLabel: PropertyReader = (draft, line) => {
  const { contexts, vCardParams } = readUse(draft, line, ADDRESS_TYPES);
  const before = draft.lines.slice(0, draft.lines.indexOf(line)).findLast(({ name }) => name !== 'X-ABLABEL');
  const isAlike = before?.name === 'ADR' && isSameJson(typesIn(before), typesIn(line));
  // An address of which nothing but the layout is known.
  if (isAlike && /^[;,\s]*$/.test(before.value))
    return addEntry(draft, 'addresses', before, {
      full: unescapeText(line.value),
      ...readUse(draft, before, ADDRESS_TYPES),
    });
  const beside = isAlike ? draft.addressOf.get(before) : undefined;
  const open = Object.entries(draft.card.addresses ?? {}).filter(([, { full }]) => full === undefined);
  const isOfTypes = (address: Address) =>
    isSameJson(address.contexts, contexts) &&
    isSameJson(address.vCardParams?.['type'], vCardParams?.['type']);
  const said = contexts !== undefined || vCardParams?.['type'] !== undefined;
  const [id, address] =
    open.find(([one]) => one === beside) ??
    open.find(([, one]) => isOfTypes(one)) ??
    (said && open.length > 1 ? [] : (open[0] ?? []));
  if (!address || id === undefined) return undefined;
  address.full = unescapeText(line.value);
  return ['addresses', id, 'full'];
};

/** What a line says of its use, in order. */
function typesIn({ params }: ContentLine): string[] {
  return (params['TYPE'] ?? [])
    .map((type) => type.toLowerCase())
    .filter((type) => type !== 'pref')
    .sort();
}

/** GEO and TZ speak of the only address (RFC 9555 §2.9.1); with none or several they are kept as they are. */
function placeReader(property: 'coordinates' | 'timeZone'): PropertyReader {
  return (draft, line) => {
    const addresses = Object.entries(draft.card.addresses ?? {});
    const [id, address] = addresses[0] ?? [];
    const value = unescapeText(line.value).trim();
    if (addresses.length !== 1 || !address || id === undefined || address[property] !== undefined)
      return undefined;
    // vCard 3.0 writes "latitude;longitude" (RFC 2426 §3.4.2) and zones as offsets, which name no zone.
    const pair = /^(-?[\d.]+)[;,](-?[\d.]+)$/.exec(value);
    if (property === 'timeZone' && !/^[A-Z][\w+-]*\//i.test(value)) return undefined;
    if (property === 'coordinates' && !pair && !value.startsWith('geo:')) return undefined;
    if (Object.keys(line.params).some((name) => name !== 'VALUE')) return undefined;
    address[property] = pair ? `geo:${pair[1] ?? ''},${pair[2] ?? ''}` : value;
    return ['addresses', id, property];
  };
}

/** Readers of the properties by which somebody is reached. */
export const reachReaders: Record<string, PropertyReader> = {
  TEL: readTel,
  EMAIL: readEmail,
  IMPP: readImpp,
  SOCIALPROFILE: readSocialProfile,
  LANG: readLang,
  ADR: readAdr,
  LABEL: readLabel,
  GEO: placeReader('coordinates'),
  TZ: placeReader('timeZone'),
};
