import { decodeUtf8, decodeUtf16, decodeWindows1252 } from '../../textCodec';

/** A line of the syntax with its folds undone. */
export interface LogicalLine {
  readonly text: string;
  /** Number of its first physical line, from 1. */
  readonly line: number;
  /** How far into the file it ends, 0 to 1. */
  readonly share01: number;
}

/**
 * Splits a file into logical lines, one at a time, since a large file has millions.
 *
 * Source: RFC 6350 §3.2; beyond it: line ends of any kind, UTF-16 by its mark or its zero bytes, and where the
 * whole is not valid UTF-8 (folded inside a character, or another encoding), each unfolded line by itself as
 * UTF-8, else as windows-1252.
 */
export function readLogicalLines(bytes: Uint8Array): Generator<LogicalLine> {
  const endian = utf16Endian(bytes);
  if (endian) return unfold(decodeUtf16(bytes, endian));
  const text = decodeUtf8(bytes);
  if (text !== undefined) return unfold(text);
  // One char a byte, so that lines can be put together before they are decoded.
  return unfold(toByteString(bytes), decodeByteString);
}

function utf16Endian(bytes: Uint8Array): 'le' | 'be' | undefined {
  const [a, b, c, d] = bytes;
  if (a === 0xff && b === 0xfe) return 'le';
  if (a === 0xfe && b === 0xff) return 'be';
  if (b === 0 && d === 0 && a !== 0) return 'le';
  if (a === 0 && c === 0 && b !== 0) return 'be';
  return undefined;
}

function* unfold(raw: string, decode = (line: string) => line): Generator<LogicalLine> {
  const text = /\r(?!\n)/.test(raw) ? raw.replace(/\r\n?/g, '\n') : raw;
  let number = 0;
  let logical = '';
  let startLine = 1;
  let position = text.charCodeAt(0) === 0xfeff ? 1 : 0;
  while (position <= text.length) {
    let end = text.indexOf('\n', position);
    if (end === -1) end = text.length;
    const stop = end > position && text.charCodeAt(end - 1) === 13 ? end - 1 : end;
    number += 1;
    const first = text.charCodeAt(position);
    if ((first === 32 || first === 9) && logical !== '') {
      logical += text.slice(position + 1, stop);
    } else {
      if (logical !== '') yield { text: decode(logical), line: startLine, share01: position / text.length };
      logical = text.slice(position, stop);
      startLine = number;
    }
    position = end + 1;
  }
  if (logical !== '') yield { text: decode(logical), line: startLine, share01: 1 };
}

function toByteString(bytes: Uint8Array): string {
  const pieces: string[] = [];
  // In slices, since a call takes only so many arguments.
  for (let i = 0; i < bytes.length; i += 8192)
    pieces.push(String.fromCharCode(...bytes.subarray(i, i + 8192)));
  return pieces.join('');
}

function decodeByteString(line: string): string {
  const bytes = Uint8Array.from(line, (char) => char.charCodeAt(0));
  return decodeUtf8(bytes) ?? decodeWindows1252(bytes);
}
