import { encodeUtf8, toBase64 } from '@/core/base';

/** RFC 2047 §2: 75 letters for a word, 76 for a line; a header's name and a comma have to find room beside it. */
const MAX_WORD = 64;
const [HEAD, TAIL] = ['=?UTF-8?B?', '?='];
/** Octets whose base64 fits into one encoded word. */
const MAX_OCTETS = Math.floor((MAX_WORD - HEAD.length - TAIL.length) / 4) * 3;

/** Whether a text can stand in a header as it is. */
export function isPlainAscii(text: string): boolean {
  return /^[\x20-\x7e]*$/.test(text);
}

/** A text as encoded words (RFC 2047), so that no line gets longer than 76 letters and no character cut in two; folded between them. */
export function encodeWords(text: string): string {
  const words: string[] = [];
  let piece = '';
  for (const char of text) {
    if (encodeUtf8(piece + char).length > MAX_OCTETS) {
      words.push(piece);
      piece = '';
    }
    piece += char;
  }
  return [...words, piece].map((word) => `${HEAD}${toBase64(encodeUtf8(word))}${TAIL}`).join('\r\n ');
}
