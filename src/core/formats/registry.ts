import { csv } from './csv';
import type { CardFormat, ReadableFormat } from './format';
import { icalendar } from './icalendar';
import { jcard } from './jcard';
import { jscontact } from './jscontact';
import { vcard3, vcard4 } from './vcard';

/** Every format there is. A new one is offered, tested and converted to by being listed here. */
export const FORMATS: readonly CardFormat[] = [vcard4, vcard3, jscontact, jcard, csv, icalendar];

/** The format that the bytes are most surely of; undefined where none knows them. */
export function findFormat(bytes: Uint8Array): ReadableFormat | undefined {
  const [best] = FORMATS.filter(isReadable)
    .map((format) => ({ format, score: format.detect(bytes) }))
    .sort((a, b) => b.score - a.score);
  return best && best.score > 0 ? best.format : undefined;
}

/** The format with an id, such as vcard4; undefined for an unknown one. */
export function getFormat(id: string): CardFormat | undefined {
  return FORMATS.find((format) => format.id === id);
}

function isReadable(format: CardFormat): format is ReadableFormat {
  return format.read !== undefined;
}
