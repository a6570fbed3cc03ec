/**
 * jCard: the properties of vCard 4.0 as JSON, one card or an array of them.
 * Standard: RFC 7095, application/vcard+json; the properties as in properties/. Left out: xCard (RFC 6351).
 */
import { decodeText } from '@/core/base';

import { FORMAT_FACTS } from '../format/facts';
import type { ReadableFormat } from '../format/format';
import { readJcard } from './readJcard';
import { writeJcard } from './writeJcard';

/** RFC 7095. */
export const jcard: ReadableFormat = {
  ...FORMAT_FACTS.jcard,
  detect: (bytes) => (/^\s*\[\s*(\[\s*)?"vcard"\s*,/i.test(decodeText(bytes.subarray(0, 400)).text) ? 1 : 0),
  read: readJcard,
  write: writeJcard,
};
