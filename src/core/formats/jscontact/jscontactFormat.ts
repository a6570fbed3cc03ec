/**
 * JSContact as a file: a JSON array of cards.
 * Standard: RFC 9553, application/jscontact+json.
 * Left out: CardGroup of its drafts.
 */
import { decodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';

import { FORMAT_FACTS } from '../format/facts';
import type { ReadableFormat, WriteOptions } from '../format/format';
import { forOthers } from './forOthers';
import { readJscontact } from './readJscontact';

/** RFC 9553. */
export const jscontact: ReadableFormat = {
  ...FORMAT_FACTS.jscontact,
  detect: (bytes) =>
    /^\s*[[{][\s\S]*"@type"\s*:\s*"Card"/.test(decodeUtf8(bytes)?.slice(0, 4000) ?? '') ? 1 : 0,
  read: readJscontact,
  write: writeJscontact,
};

/** Writes cards as a JSON array, a card a line, so that files can be compared line by line. */
export function writeJscontact(cards: readonly Card[], options: WriteOptions = {}): string {
  const text = `[\n${cards.map((card) => JSON.stringify(forOthers(card))).join(',\n')}\n]\n`;
  options.onProgress?.(1, cards.length);
  return text;
}
