import fc from 'fast-check';

import { escapeHtml } from './escapeHtml';
import { foldedWords, foldText } from './foldText';
import { hashText } from './hashText';
import { decodeCharset, decodeText, decodeUtf8, decodeWindows1252, encodeUtf8, toBase64 } from './textCodec';

const octets = (...values: number[]) => Uint8Array.from(values);
const anyText = fc.string({ unit: 'grapheme' });

test('UTF-8 and base64 are those of Node', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      expect(Buffer.from(encodeUtf8(text)).equals(Buffer.from(text, 'utf8'))).toBe(true);
      expect(decodeUtf8(encodeUtf8(text))).toBe(text.replace(/^\ufeff/, ''));
      expect(toBase64(encodeUtf8(text))).toBe(Buffer.from(text, 'utf8').toString('base64'));
    }),
  );
});

// RFC 4648 §10.
const base64: [plain: string, encoded: string][] = [
  ['', ''],
  ['f', 'Zg=='],
  ['fo', 'Zm8='],
  ['foo', 'Zm9v'],
  ['foobar', 'Zm9vYmFy'],
];
test.each(base64)('base64 of “%s” is “%s”', (plain, encoded) =>
  expect(toBase64(encodeUtf8(plain))).toBe(encoded),
);

// WHATWG Encoding, index windows-1252; the five holes are the control characters of the same number.
const windows: [octet: number, char: string][] = [
  [0x80, '€'],
  [0x81, '\u0081'],
  [0x8a, 'Š'],
  [0x93, '“'],
  [0x9e, 'ž'],
  [0x9f, 'Ÿ'],
  [0xe9, 'é'],
  [0x41, 'A'],
];
test.each(windows)('octet %d of windows-1252 is “%s”', (octet, char) =>
  expect(decodeWindows1252(octets(octet))).toBe(char),
);

test('every octet of windows-1252 means something, each another', () => {
  const all = decodeWindows1252(Uint8Array.from({ length: 256 }, (_, i) => i));
  expect(new Set(all).size).toBe(256);
});

const guessed: { name: string; bytes: Uint8Array; text: string; encoding: string }[] = [
  { name: 'UTF-8', bytes: encodeUtf8('Żółw'), text: 'Żółw', encoding: 'UTF-8' },
  { name: 'UTF-8 with its mark', bytes: octets(0xef, 0xbb, 0xbf, 0x41), text: 'A', encoding: 'UTF-8' },
  { name: 'UTF-16 with its mark', bytes: octets(0xff, 0xfe, 0x7b, 0x01), text: 'Ż', encoding: 'UTF-16' },
  {
    name: 'UTF-16, the other end first',
    bytes: octets(0xfe, 0xff, 0x01, 0x7b),
    text: 'Ż',
    encoding: 'UTF-16',
  },
  { name: 'UTF-16 without a mark', bytes: octets(0x41, 0, 0x42, 0), text: 'AB', encoding: 'UTF-16' },
  { name: 'neither', bytes: octets(0x4d, 0xfc, 0x6c), text: 'Mül', encoding: 'windows-1252' },
  { name: 'nothing', bytes: octets(), text: '', encoding: 'UTF-8' },
];
for (const { name, bytes, text, encoding } of guessed) {
  test(`an encoding that nobody declared: ${name}`, () =>
    expect(decodeText(bytes)).toEqual({ text, encoding }));
}

const declared: { label: string; bytes: Uint8Array; text: string | undefined }[] = [
  { label: 'Shift_JIS', bytes: octets(0x93, 0x63, 0x92, 0x86), text: '田中' },
  { label: 'ISO-8859-1', bytes: octets(0xe9, 0x80), text: 'é€' },
  // Declared as Latin-1 and yet UTF-8, as it is met in the wild.
  { label: 'us-ascii', bytes: encodeUtf8('é'), text: 'é' },
  { label: ' iso-8859-2 ', bytes: octets(0xb3), text: 'ł' },
  { label: 'UTF-8', bytes: octets(0xff), text: undefined },
  { label: 'of-my-own', bytes: octets(0x41), text: undefined },
];
for (const { label, bytes, text } of declared) {
  test(`${label} is read as “${text ?? 'nothing'}”`, () => expect(decodeCharset(bytes, label)).toBe(text));
}

const folded: [text: string, plain: string][] = [
  ['Lévêque', 'leveque'],
  ['ŁUKASZ', 'lukasz'],
  ['Großmann', 'grossmann'],
  ['Søren Ångström', 'soren angstrom'],
  ['ＡＢＣ１２', 'abc12'],
  ['ﬁn', 'fin'],
  ['İstanbul', 'istanbul'],
  ['田中', '田中'],
];
test.each(folded)('“%s” is looked for as “%s”', (text, plain) => expect(foldText(text)).toBe(plain));

test('folding twice changes nothing more, and words hold nothing but letters and digits', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      expect(foldText(foldText(text))).toBe(foldText(text));
      for (const word of foldedWords(text)) expect(word).toMatch(/^[\p{L}\p{N}]+$/u);
    }),
  );
});

test('escaped text brings no markup and comes back from its entities', () => {
  fc.assert(
    fc.property(anyText, (text) => {
      const escaped = escapeHtml(text);
      expect(escaped).not.toMatch(/[<>"']/);
      const plain = escaped
        .replaceAll('&lt;', '<')
        .replaceAll('&gt;', '>')
        .replaceAll('&quot;', '"')
        .replaceAll('&#39;', "'")
        .replaceAll('&amp;', '&');
      expect(plain).toBe(text);
    }),
  );
});

test('a hash is of 128 bits, the same for the same text and another for nearly the same', () => {
  const seen = new Set<string>();
  for (let i = 0; i < 5000; i += 1) seen.add(hashText(`urn:uuid:${i}`));
  expect(seen.size).toBe(5000);
  expect(hashText('Ada')).toMatch(/^[0-9a-f]{32}$/);
  expect(hashText('Ada')).toBe(hashText('Ada'));
  expect(hashText('ab')).not.toBe(hashText('ba'));
});
