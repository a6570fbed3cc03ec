import type { Card } from '@/core/card';

import { foldLine } from '../contentLines/foldLine';
import { formatContentLine } from '../contentLines/formatContentLine';
import type { WriteOptions } from '../format/format';
import type { VcardVersion } from '../properties/version';
import { writeProperties } from '../properties/write/writeProperties';

/** How many cards are written between two reports of progress. */
const REPORT_EVERY = 250;

/** Writes cards as one file (RFC 6350 §3, RFC 2426): CRLF, lines of at most 75 octets, no card for no cards. */
export function writeVcard(
  version: VcardVersion,
  cards: readonly Card[],
  options: WriteOptions = {},
): string {
  const pieces: string[] = [];
  for (const [i, card] of cards.entries()) {
    const lines = writeProperties(card, version, options.extensions ?? true).map((line) =>
      foldLine(formatContentLine(line)),
    );
    pieces.push('BEGIN:VCARD', ...lines, 'END:VCARD');
    if ((i + 1) % REPORT_EVERY === 0) options.onProgress?.((i + 1) / cards.length, i + 1);
  }
  options.onProgress?.(1, cards.length);
  return pieces.length === 0 ? '' : `${pieces.join('\r\n')}\r\n`;
}
