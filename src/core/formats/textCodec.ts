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

const strictUtf8 = new TextDecoder('utf-8', { fatal: true });
const utf8 = new TextEncoder();

/** UTF-8 to text; undefined where the bytes are not UTF-8. A byte order mark is dropped. */
export function decodeUtf8(bytes: Uint8Array): string | undefined {
  try {
    return strictUtf8.decode(bytes);
  } catch {
    return undefined;
  }
}

/** UTF-16 to text. */
export function decodeUtf16(bytes: Uint8Array, endian: 'le' | 'be'): string {
  return new TextDecoder(`utf-16${endian}`).decode(bytes);
}

/** Windows-1252 to text; any bytes are valid. */
export function decodeWindows1252(bytes: Uint8Array): string {
  let text = '';
  for (const byte of bytes) {
    text += byte >= 0x80 && byte < 0xa0 ? WINDOWS_1252.charAt(byte - 0x80) : String.fromCharCode(byte);
  }
  return text;
}

/** Text to UTF-8. */
export function encodeUtf8(text: string): Uint8Array {
  return utf8.encode(text);
}
