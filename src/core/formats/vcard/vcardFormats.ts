/**
 * vCard: 2.1, 3.0 and 4.0, read tolerantly; 3.0 and 4.0 written strictly.
 * Standard: versit 2.1, RFC 2426, RFC 6350 with RFC 6868; the properties as in properties/. Left out: writing 2.1.
 */
import { FORMAT_FACTS } from '../format/facts';
import type { ReadableFormat } from '../format/format';
import { type VcardVersion, VERSION_3, VERSION_4 } from '../properties/version';
import { readVcard } from './readVcard';
import { writeVcard } from './writeVcard';

function vcardFormat(version: VcardVersion): ReadableFormat {
  return {
    ...(version.id === '4.0' ? FORMAT_FACTS.vcard4 : FORMAT_FACTS.vcard3),
    detect: (bytes) => detectVcard(bytes, version),
    read: readVcard,
    write: (cards, options) => writeVcard(version, cards, options),
  };
}

/** BEGIN:VCARD near the head, zero bytes of UTF-16 left out; the version in doubt is 4.0's business. */
function detectVcard(bytes: Uint8Array, version: VcardVersion): number {
  const head = String.fromCharCode(...bytes.subarray(0, 2000).filter((byte) => byte !== 0)).toUpperCase();
  if (!/BEGIN\s*:\s*VCARD/.test(head)) return 0;
  if (head.includes(`VERSION:${version.id}`)) return 1;
  return version.id === '4.0' ? 0.6 : 0.5;
}

/** RFC 2426. */
export const vcard3 = vcardFormat(VERSION_3);
/** RFC 6350 and RFC 9554. */
export const vcard4 = vcardFormat(VERSION_4);
