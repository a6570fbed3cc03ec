import { csv } from './csv/csvFormat';
import type { CardFormat, ReadableFormat } from './format/format';
import { icalendar } from './icalendar/icalendarFormat';
import { jcard } from './jcard/jcardFormat';
import { jscontact } from './jscontact/jscontactFormat';
import { vcard3, vcard4 } from './vcard/vcardFormats';

/** Every format there is. A new one is offered, tested and converted to by being listed here. */
export const FORMATS: readonly CardFormat[] = [vcard4, vcard3, jscontact, jcard, csv, icalendar];

/** The format that the bytes are most surely of; undefined where none knows them. */
export function findFormat(bytes: Uint8Array): ReadableFormat | undefined {
  let best: { format: ReadableFormat; score: number } | undefined;
  for (const format of FORMATS.filter(isReadable)) {
    const score = format.detect(bytes);
    // One that is certain saves the others the work.
    if (score === 1) return format;
    if (score > (best?.score ?? 0)) best = { format, score };
  }
  return best?.format;
}

/** The format with an id, such as vcard4; undefined for an unknown one. */
export function getFormat(id: string): CardFormat | undefined {
  return FORMATS.find((format) => format.id === id);
}

function isReadable(format: CardFormat): format is ReadableFormat {
  return format.read !== undefined;
}
