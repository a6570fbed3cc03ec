import { decodeCharset, decodeText, decodeUtf8, decodeWindows1252 } from '@/core/base';

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
 * Source: RFC 6350 §3.2; vCard 2.1 (versit, 1996; from memory) for the soft breaks of quoted-printable. Beyond them:
 * line ends of any kind, base64 that goes on without an indent, UTF-16 by its mark or its zero bytes, and where the
 * whole is not valid UTF-8 (folded inside a character, or another encoding), each unfolded line by itself as UTF-8,
 * else as its CHARSET says, else as windows-1252.
 */
export function readLogicalLines(bytes: Uint8Array): Generator<LogicalLine> {
  const { text, encoding } = decodeText(bytes);
  if (encoding !== 'windows-1252') return unfold(text);
  // One char a byte, so that lines can be put together before they are decoded.
  return unfold(toByteString(bytes), decodeByteString);
}

function* unfold(raw: string, decode = (line: string) => line): Generator<LogicalLine> {
  const text = /\r(?!\n)/.test(raw) ? raw.replace(/\r\n?/g, '\n') : raw;
  let number = 0;
  let logical = '';
  let startLine = 1;
  // In 2.1 the space that a continuation begins with belongs to the text.
  let keepsIndent = false;
  let position = 0;
  while (position <= text.length) {
    // Where files were put together each one's mark stands at its head.
    if (text.charCodeAt(position) >= FIRST_OF_MARK) position += markAt(text, position);
    let end = text.indexOf('\n', position);
    if (end === -1) end = text.length;
    const stop = end > position && text.charCodeAt(end - 1) === 13 ? end - 1 : end;
    number += 1;
    const joined = logical === '' ? undefined : continueLine(logical, text, [position, stop], keepsIndent);
    if (joined === undefined) {
      if (logical !== '') yield { text: decode(logical), line: startLine, share01: position / text.length };
      logical = text.slice(position, stop);
      startLine = number;
      // The first letter tells nearly all lines apart from a VERSION.
      if ((logical.charCodeAt(0) | 32) === LOWER_V && VERSION_LINE.test(logical))
        keepsIndent = logical.trimEnd().endsWith('2.1');
    } else {
      logical = joined;
    }
    position = end + 1;
  }
  if (logical !== '') yield { text: decode(logical), line: startLine, share01: 1 };
}

/** How many characters of a byte order mark stand there: one of text, three of bytes that are not decoded yet. */
function markAt(text: string, position: number): number {
  const first = text.charCodeAt(position);
  if (first === 0xfeff) return 1;
  return first === 0xef && text.startsWith('\u00ef\u00bb\u00bf', position) ? 3 : 0;
}

/** The logical line with the physical one from `start` to `stop` put to it; undefined where that begins a new one. */
function continueLine(
  logical: string,
  text: string,
  [start, stop]: readonly [number, number],
  keepsIndent: boolean,
): string | undefined {
  if (logical.charCodeAt(logical.length - 1) === EQUALS && isQuotedPrintable(logical)) {
    const next = text.slice(start, stop);
    // A soft break before the end of the card, or before the next one, is a fault of the writer's.
    if (!FRAME_LINE.test(next)) return logical.slice(0, -1) + next;
  }
  const first = text.charCodeAt(start);
  if (first === 32 || first === 9) return logical + text.slice(keepsIndent ? start : start + 1, stop);
  const colon = text.indexOf(':', start);
  if ((colon === -1 || colon >= stop) && stop > start && isBase64(logical)) {
    const next = text.slice(start, stop);
    if (BASE64_LINE.test(next)) return logical + next;
  }
  return undefined;
}

/** The first byte of a mark in UTF-8; hardly a line begins with anything like it. */
const FIRST_OF_MARK = 0xef;
const EQUALS = '='.charCodeAt(0);
const LOWER_V = 'v'.charCodeAt(0);
const VERSION_LINE = /^VERSION[:;]/i;
const FRAME_LINE = /^(BEGIN|END)\s*:\s*VCARD\s*$/i;
const BASE64_LINE = /^[A-Za-z0-9+/]+={0,2}$/;

function isQuotedPrintable(line: string): boolean {
  return /[;=]QUOTED-PRINTABLE[;:]/i.test(headOf(line));
}

function isBase64(line: string): boolean {
  return /[;=](BASE64|B)[;:]/i.test(headOf(line));
}

/** Name and parameters, with the colon behind them. */
function headOf(line: string): string {
  return line.slice(0, line.indexOf(':') + 1);
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
  const charset = /;CHARSET="?([\w.-]+)/i.exec(headOf(line))?.[1];
  const declared = charset === undefined ? undefined : () => decodeCharset(bytes, charset);
  return decodeUtf8(bytes) ?? declared?.() ?? decodeWindows1252(bytes);
}
