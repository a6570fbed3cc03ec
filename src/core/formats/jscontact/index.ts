/**
 * JSContact as a file: a JSON array of cards.
 * Standard: RFC 9553, application/jscontact+json.
 * Left out: CardGroup of its drafts.
 */
import { decodeUtf8 } from '../../text';
import { FORMAT_FACTS } from '../facts';
import type { ReadableFormat } from '../format';
import { readJscontact } from './readJscontact';
import { writeJscontact } from './writeJscontact';

/** RFC 9553. */
export const jscontact: ReadableFormat = {
  ...FORMAT_FACTS.jscontact,
  detect: (bytes) =>
    /^\s*[[{][\s\S]*"@type"\s*:\s*"Card"/.test(decodeUtf8(bytes)?.slice(0, 4000) ?? '') ? 1 : 0,
  read: readJscontact,
  write: writeJscontact,
};
