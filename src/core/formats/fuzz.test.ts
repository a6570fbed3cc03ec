// Ten thousand files that were hurt in transit, or on purpose: none may crash a reader or keep it busy, and whatever
// is read of them is a card that can be written again. The hurts come from a seeded generator, so that a failure can
// be run again.
import { encodeUtf8 } from '@/core/base';
import { type Card, parseCard } from '@/core/card';
import { generateBook } from '@/demo';

import { findFormat, FORMATS } from './registry';

const FILES = 10_000;

/** Mulberry32, a generator of 32 bits that is the same everywhere (public domain, Tommy Ettinger; from memory). */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** What syntaxes stumble over, put in anywhere. */
const TOKENS = [
  ...[
    'BEGIN:VCARD\r\n',
    'END:VCARD\r\n',
    '\r\n ',
    '=\r\n',
    ';ENCODING=QUOTED-PRINTABLE:',
    ';ENCODING=b:',
    '"',
    '\\',
  ],
  ...[
    ';',
    ',',
    ':',
    '^n',
    '\u0000',
    '\ufeff',
    '{',
    '}',
    '[',
    ']',
    '__proto__',
    'JSPROP;JSPTR="a/b":',
    '=C3',
    '\ud83d',
  ],
  ...[
    '<img src=x onerror=alert(1)>',
    '9'.repeat(400),
    'AGENT:\r\n',
    '\u202e',
    ';CHARSET=UTF-7:',
    '\n\n\n',
    '\t',
  ],
].map((token) => encodeUtf8(token));

// Without their photos, whose bytes would take most of the hurts.
const cards = generateBook('2026-11-24')
  .slice(0, 12)
  .map(({ media: _, ...card }): Card => card);
const OLD = [
  'BEGIN:VCARD',
  'VERSION:2.1',
  'N;CHARSET=ISO-8859-1;ENCODING=QUOTED-PRINTABLE:M=FCller;J=F6rg',
  'TEL;WORK;FAX:+1 555 0100',
  'NOTE;QUOTED-PRINTABLE:first=0D=0A=',
  'second',
  'PHOTO;GIF;BASE64:R0lGODlhAQAB',
  ' AIAAAAUEBAAA',
  '',
  'END:VCARD',
].join('\r\n');
const bases = [
  ...FORMATS.map((format) => encodeUtf8(format.write(cards.slice(0, 3)))),
  ...FORMATS.map((format) => encodeUtf8(format.write(cards.slice(3, 5), { extensions: false }))),
  encodeUtf8(OLD),
];

function hurt(bytes: Uint8Array, random: () => number): Uint8Array {
  const at = Math.floor(random() * bytes.length);
  const length = Math.floor(random() * Math.min(80, bytes.length));
  const [before, after] = [bytes.subarray(0, at), bytes.subarray(at)];
  const join = (...parts: Uint8Array[]) => {
    const whole = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0));
    let place = 0;
    for (const part of parts) {
      whole.set(part, place);
      place += part.length;
    }
    return whole;
  };
  switch (Math.floor(random() * 6)) {
    case 0:
      return join(before, after.subarray(length));
    case 1:
      return join(before, after.subarray(0, length), after);
    case 2:
      return before;
    case 3:
      return join(before, Uint8Array.of(Math.floor(random() * 256)), after.subarray(1));
    case 4:
      return join(before, bytes.subarray(0, length), after);
    default:
      return join(before, TOKENS[Math.floor(random() * TOKENS.length)] ?? new Uint8Array(), after);
  }
}

test(`${FILES} hurt files crash no reader and keep none busy`, () => {
  const random = seeded(20_261_125);
  let read = 0;
  for (let i = 0; i < FILES; i += 1) {
    let bytes = bases[i % bases.length] ?? new Uint8Array();
    for (let wounds = 1 + Math.floor(random() * 4); wounds > 0 && bytes.length > 0; wounds -= 1)
      bytes = hurt(bytes, random);
    // A reader that never ends is stopped by the limit of the test.
    const result = findFormat(bytes)?.read(bytes);
    for (const card of result?.cards ?? []) {
      read += 1;
      if (read % 10 === 0) expect(parseCard(card).kind).toBe('card');
    }
  }
  expect(read).toBeGreaterThan(FILES / 2);
});
