// The core is compiled without the DOM's types; these two are the same in browsers, workers and Node.
declare class TextDecoder {
  constructor(label?: string, options?: { fatal?: boolean; ignoreBOM?: boolean });
  decode(input: Uint8Array): string;
}
declare class TextEncoder {
  encode(input: string): Uint8Array;
}

/** WHATWG Encoding, index windows-1252, 0x80 to 0x9F. Its own table, since some decoders give ISO-8859-1 there. */
const WINDOWS_1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/** WHATWG Encoding §4.2: labels that all mean windows-1252. */
const LATIN_1 = /^(us-)?ascii$|^iso[-_]?8859[-_]?1$|^latin-?1$|^l1$|^(windows|cp|x-cp)-?1252$|^ansi/i;

// Made when first asked for: some test environments of the browser's have neither.
let strictUtf8: TextDecoder | undefined;
let utf8: TextEncoder | undefined;

/** UTF-8 to text; undefined where the bytes are not UTF-8. A byte order mark is dropped. */
export function decodeUtf8(bytes: Uint8Array): string | undefined {
  try {
    strictUtf8 ??= new TextDecoder('utf-8', { fatal: true });
    return strictUtf8.decode(bytes);
  } catch {
    return undefined;
  }
}

/** Windows-1252 to text; any bytes are valid. */
export function decodeWindows1252(bytes: Uint8Array): string {
  const pieces: string[] = [];
  // In slices, since a call takes only so many arguments.
  for (let i = 0; i < bytes.length; i += 8192) pieces.push(decodeSlice(bytes.subarray(i, i + 8192)));
  return pieces.join('');
}

function decodeSlice(bytes: Uint8Array): string {
  const text = String.fromCharCode(...bytes);
  return text.replace(/[\u0080-\u009f]/g, (char) => WINDOWS_1252.charAt(char.charCodeAt(0) - 0x80));
}

/**
 * Bytes of a declared encoding to text; undefined for an encoding nobody knows and for bytes it does not have.
 *
 * @param label - as in a CHARSET parameter: UTF-8, ISO-8859-1, Shift_JIS … (WHATWG Encoding §4.2)
 */
export function decodeCharset(bytes: Uint8Array, label: string): string | undefined {
  const name = label.trim();
  if (LATIN_1.test(name)) return decodeUtf8Only(bytes) ?? decodeWindows1252(bytes);
  try {
    return new TextDecoder(name, { fatal: true }).decode(bytes);
  } catch {
    return undefined;
  }
}

/** ASCII declared for what is UTF-8 is met in the wild; Latin text of several bytes is hardly ever valid UTF-8. */
function decodeUtf8Only(bytes: Uint8Array): string | undefined {
  return bytes.some((byte) => byte >= 0x80) ? decodeUtf8(bytes) : undefined;
}

/** What bytes turned out to be written in. */
export interface DecodedText {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'windows-1252';
}

/** Bytes of an encoding nobody declared: UTF-16 by its mark or its zero bytes, UTF-8 where valid, else windows-1252. */
export function decodeText(bytes: Uint8Array): DecodedText {
  const endian = utf16Endian(bytes);
  if (endian) return { text: new TextDecoder(`utf-16${endian}`).decode(bytes), encoding: 'UTF-16' };
  const text = decodeUtf8(bytes);
  if (text !== undefined) return { text, encoding: 'UTF-8' };
  return { text: decodeWindows1252(bytes), encoding: 'windows-1252' };
}

function utf16Endian(bytes: Uint8Array): 'le' | 'be' | undefined {
  const [a, b, c, d] = bytes;
  if (a === 0xff && b === 0xfe) return 'le';
  if (a === 0xfe && b === 0xff) return 'be';
  if (b === 0 && d === 0 && a !== undefined && a !== 0) return 'le';
  if (a === 0 && c === 0 && b !== undefined && b !== 0) return 'be';
  return undefined;
}

/** Text to UTF-8. */
export function encodeUtf8(text: string): Uint8Array {
  utf8 ??= new TextEncoder();
  return utf8.encode(text);
}

/** What every place that core runs in has (WHATWG HTML §8.3). */
declare const btoa: (binary: string) => string;

/** Octets as base64 (RFC 4648 §4). */
export function toBase64(octets: Uint8Array): string {
  return btoa(Array.from(octets, (octet) => String.fromCharCode(octet)).join(''));
}
