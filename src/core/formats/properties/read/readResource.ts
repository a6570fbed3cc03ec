import { texts } from '@/texts/formats/vcard';

import type { ContentLine } from '../../contentLines/contentLine';
import { unescapeText } from '../../contentLines/text';
import { addEntry, type PropertyReader } from './draft';
import { readUse } from './readUse';

/** Short names that vCard 3.0 gives media types (RFC 2426 §2.4.1 asks for the IANA subtype), by top-level type. */
const MEDIA_OF: Record<string, string> = {
  PHOTO: 'image',
  LOGO: 'image',
  SOUND: 'audio',
  KEY: 'application',
};

type ResourceCollection =
  'media' | 'links' | 'cryptoKeys' | 'directories' | 'calendars' | 'schedulingAddresses';

function resourceReader(collection: ResourceCollection, kind?: string): PropertyReader {
  return (draft, line) => {
    const { uri, isInline, isSound } = readUri(line);
    if (uri === '') return undefined;
    if (!isSound) {
      const message = texts.isNoSoundBase64(line.name);
      draft.problems.push({ code: 'unreadable-value', line: line.line, message, text: line.value });
    }
    const mediaType = line.params['MEDIATYPE']?.[0];
    const listAs = Number(line.params['INDEX']?.[0]);
    const isListed = collection === 'directories' && Number.isInteger(listAs) && listAs > 0;
    const params = isInline ? { ...line.params, TYPE: [] } : line.params;
    return addEntry(draft, collection, line, {
      ...(kind === undefined ? {} : { kind }),
      uri,
      ...(mediaType === undefined ? {} : { mediaType }),
      ...(isListed ? { listAs } : {}),
      ...readUse(draft, { ...line, params }, undefined, ['MEDIATYPE', ...(isListed ? ['INDEX'] : [])]),
    });
  };
}

/** ENCODING=b (RFC 2426 §2.4.1) becomes a data: URI (RFC 2397); anything else is a URI already. */
function readUri(line: ContentLine): { uri: string; isInline: boolean; isSound: boolean } {
  const isInline = /^b(ase64)?$/i.test(line.params['ENCODING']?.[0] ?? '');
  if (!isInline) return { uri: unescapeText(line.value).trim(), isInline, isSound: true };
  const subtype = (
    line.params['TYPE']?.find((type) => !/^(pref|home|work)$/i.test(type)) ?? ''
  ).toLowerCase();
  const family = MEDIA_OF[line.name] ?? 'application';
  const type = subtype.includes('/') ? subtype : `${family}/${subtype === '' ? 'octet-stream' : subtype}`;
  const plain = line.value.replace(/\s/g, '');
  const sound = soundBase64(plain);
  return { uri: `data:${type};base64,${sound}`, isInline, isSound: sound === plain };
}

/** Base64 that every reader takes (RFC 4648 §4): of broken ones what can be read, with the padding that belongs to it. */
function soundBase64(plain: string): string {
  if (plain.length % 4 === 0 && /^[A-Za-z0-9+/]*={0,2}$/.test(plain)) return plain;
  const signs = plain
    .replace(/-/g, '+')
    .replace(/_/g, '/')
    .replace(/[^A-Za-z0-9+/]/g, '');
  // One sign alone is less than an octet.
  const whole = signs.length % 4 === 1 ? signs.slice(0, -1) : signs;
  return whole.padEnd(Math.ceil(whole.length / 4) * 4, '=');
}

/** Readers of the properties that point to something elsewhere, or carry its bytes. */
export const resourceReaders: Record<string, PropertyReader> = {
  PHOTO: resourceReader('media', 'photo'),
  LOGO: resourceReader('media', 'logo'),
  SOUND: resourceReader('media', 'sound'),
  URL: resourceReader('links'),
  'CONTACT-URI': resourceReader('links', 'contact'),
  KEY: resourceReader('cryptoKeys'),
  SOURCE: resourceReader('directories', 'entry'),
  'ORG-DIRECTORY': resourceReader('directories', 'directory'),
  CALURI: resourceReader('calendars', 'calendar'),
  FBURL: resourceReader('calendars', 'freeBusy'),
  CALADRURI: resourceReader('schedulingAddresses'),
};
