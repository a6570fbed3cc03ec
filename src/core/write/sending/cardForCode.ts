import { encodeUtf8 } from '@/core/base';
import type { Card } from '@/core/card';
import { formatContentLine, VERSION_3, writeProperties } from '@/core/formats';

/** As much of a card as fits a code, and what had to stay behind. */
export interface CardInCode {
  readonly text: string;
  /** Properties of the card that are not in it. */
  readonly left: readonly string[];
}

/**
 * Octets that a code holds and a phone still reads from a screen (common practice; ISO/IEC 18004 allows 2953 at the
 * lowest correction).
 */
const MAX_OCTETS = 900;

/** What goes first when there is no room: the least needed to reach somebody. */
const LEAST_FIRST = [
  ...[
    'media',
    'cryptoKeys',
    'calendars',
    'directories',
    'schedulingAddresses',
    'vCardProps',
    'localizations',
  ],
  ...[
    'notes',
    'personalInfo',
    'keywords',
    'preferredLanguages',
    'speakToAs',
    'onlineServices',
    'anniversaries',
  ],
  ...['nicknames', 'links', 'addresses', 'titles', 'organizations', 'emails', 'phones'],
] as const satisfies readonly (keyof Card)[];

/** Things that no code needs: they are about the record, or too large by nature. */
const NEVER = new Set<string>(['media', 'created', 'updated', 'prodId', 'vCardProps', 'localizations']);

/** Puts a card into as few octets as a code holds; photos never go along. */
export function cardForCode(card: Card, maxOctets = MAX_OCTETS): CardInCode {
  const left = Object.keys(card).filter((key) => NEVER.has(key) && LEAST_FIRST.some((one) => one === key));
  let rest = Object.fromEntries(Object.entries(card).filter(([key]) => !NEVER.has(key))) as unknown as Card;
  for (const key of LEAST_FIRST) {
    const text = writeShort(rest);
    if (encodeUtf8(text).length <= maxOctets) return { text, left };
    if (rest[key] === undefined) continue;
    const { [key]: _, ...others } = rest;
    rest = others;
    left.push(key);
  }
  return { text: writeShort(rest), left };
}

/** vCard 3.0 without folds and without what only programs look at. */
function writeShort(card: Card): string {
  const lines = writeProperties(card, VERSION_3, false)
    .filter(({ name }) => name !== 'UID' && name !== 'PRODID')
    .map(({ params, ...line }) => {
      const { 'PROP-ID': _, JSCOMPS: __, ...kept } = params;
      return formatContentLine({ ...line, params: kept });
    });
  return ['BEGIN:VCARD', ...lines, 'END:VCARD'].join('\r\n');
}
