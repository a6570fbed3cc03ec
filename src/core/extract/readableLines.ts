import { closingByShape } from './closingByShape';
import {
  CLOSING,
  DISCLAIMER,
  FORWARD_HEAD,
  HEAD_FIELD,
  ORIGINAL_HEAD,
  QUOTE_HEAD,
  SALUTATION,
} from './mailWords';
import { type Segment, type TextLine, textLines, trimmed } from './textLines';

/** The lines of a text that can say something of whoever it is about. */
export interface ReadableLines {
  readonly lines: readonly TextLine[];
  /** What follows the name of the field that says who the mail is from. */
  readonly sender: Segment | undefined;
  /** Where the signature begins, if that is sure: a delimiter or a closing word stood above it. */
  readonly isSignature: boolean;
}

/** Words in a line of running text. */
const PROSE_WORDS = 12;

/**
 * Leaves out what is somebody else's or nobody's: quoted mails, salutations, what lawyers wrote, and what stands above
 * the signature where one can be told.
 *
 * Source: RFC 3676 §4.3 for "-- ", §4.5 for ">"; the rest is common practice.
 *
 * @param text - as plainText gives it
 */
export function readableLines(text: string): ReadableLines {
  const all = textLines(text);
  const { rest, sender } = withoutHead(text, all);
  const own = withoutDisclaimers(withoutQuotes(text, rest));
  const signature = signatureOf(text, own);
  return { lines: signature ?? own, sender, isSignature: signature !== undefined };
}

interface Headed {
  readonly rest: readonly TextLine[];
  readonly sender: Segment | undefined;
}

/** Takes the fields at the head of a mail off; two of them at least, or it is something with a label. */
function withoutHead(text: string, lines: readonly TextLine[]): Headed {
  const first = lines.findIndex((line) => !ORIGINAL_HEAD.test(line.text) && !FORWARD_HEAD.test(line.text));
  let count = Math.max(0, first);
  while (HEAD_FIELD.test(lines[count]?.text ?? '')) count += 1;
  const fields = lines.slice(Math.max(0, first), count);
  const from = fields.find((line) => HEAD_FIELD.exec(line.text)?.[1] !== undefined);
  // One field alone is something with a label, unless it has an address in it.
  if (!from || (fields.length < 2 && !/<[^<>\s]+@/.test(from.text)))
    return { rest: lines, sender: undefined };
  const label = HEAD_FIELD.exec(from.text)?.[0] ?? '';
  return { rest: lines.slice(count), sender: trimmed(text, from.start + label.length, from.end) };
}

function withoutQuotes(text: string, lines: readonly TextLine[]): readonly TextLine[] {
  const forward = lines.findIndex((line) => FORWARD_HEAD.test(line.text));
  const cut = lines.findIndex((line, i) => isQuoteHead(lines, i) || ORIGINAL_HEAD.test(line.text));
  const end = Math.min(...[forward, cut].filter((at) => at >= 0), lines.length);
  const own = lines.slice(0, end).filter((line) => !line.text.startsWith('>'));
  // A mail that only passes another one on is about the other's sender.
  if (own.length === 0 && end < lines.length) return withoutHead(text, lines.slice(end)).rest;
  return own;
}

/** "On … wrote:" on one line or two, or the head of the mail before: a sender's field and another one below it. */
function isQuoteHead(lines: readonly TextLine[], i: number): boolean {
  const line = lines[i]?.text ?? '';
  const both = `${line} ${lines[i + 1]?.text ?? ''}`;
  if (
    QUOTE_HEAD.test(line) ||
    (/^(?:on|le|am|el|il|op|w dniu|em|den)\s/i.test(line) && QUOTE_HEAD.test(both))
  )
    return true;
  return i > 0 && isMailHead(line, lines[i + 1]?.text ?? '');
}

/** Whether two lines are the head of a mail: its sender's field and another one below it. */
export function isMailHead(line: string, next: string): boolean {
  return HEAD_FIELD.exec(line)?.[1] !== undefined && HEAD_FIELD.test(next);
}

/** A paragraph in which a line of a disclaimer stands goes as a whole from there on. */
function withoutDisclaimers(lines: readonly TextLine[]): readonly TextLine[] {
  let lastDropped = -2;
  return lines.filter((line) => {
    const goesOn =
      line.index === lastDropped + 1 && wordCount(line.text) > 5 && !/@|\+\d[\d ()-]{6}/.test(line.text);
    if (
      !goesOn &&
      !(DISCLAIMER.test(line.text) && (wordCount(line.text) > 3 || /[\p{Script=Han}]/u.test(line.text)))
    )
      return true;
    lastDropped = line.index;
    return false;
  });
}

/** What follows the last delimiter, or else the last closing word; undefined where there is neither. */
function signatureOf(text: string, lines: readonly TextLine[]): readonly TextLine[] | undefined {
  const delimiter = lines.findLastIndex(({ text: line }) => /^--\s*$/.test(line));
  if (delimiter >= 0 && delimiter < lines.length - 1) {
    const above = lines.slice(0, delimiter);
    // A line drawn within a signature is no beginning of one.
    if (above.length > 0 && above.length <= 3 && above.every(isTerse))
      return [...above, ...lines.slice(delimiter + 1)];
    return lines.slice(delimiter + 1);
  }
  const closing = lines.findLastIndex(({ text: line }) => isClosing(line));
  const last = lines[closing];
  if (!last || (closing === lines.length - 1 && !saysMore(last))) {
    const shaped = closingByShape(lines);
    return shaped < 0 ? lastBlock(lines) : lines.slice(shaped + 1);
  }
  const end = last.start + (CLOSING.exec(last.text)?.[0].length ?? 0);
  const said = trimmed(text, end, last.end);
  const after = lines.slice(closing + 1).filter((line) => !SALUTATION.test(line.text));
  const own =
    said.text === '' ? [] : [{ ...last, ...said, segments: last.segments.filter((s) => s.start >= end) }];
  return [...own, ...after];
}

/** Words of a line that may be a name. */
const NAME_LINE = /^(?:\p{L}{1,5}\.\s)*\p{Lu}[\p{L}.'’-]*(?:\s[\p{L}.'’-]+){1,4}$/u;

/** Without a closing word: the block below the letter, apart from it by a blank line, that begins as names do. */
function lastBlock(lines: readonly TextLine[]): readonly TextLine[] | undefined {
  const last = lines.findLastIndex(
    ({ text }) => SALUTATION.test(text) || (/[.!?]["”]?$/.test(text) && wordCount(text) > 3) || isProse(text),
  );
  const block = lines.slice(last + 1);
  const [first] = block;
  const isApart = first !== undefined && first.index > (lines[last]?.index ?? first.index) + 1;
  return isApart && block.length > 1 && NAME_LINE.test(first.text) ? block : undefined;
}

/** A line that isn't part of a letter. */
function isTerse({ text }: TextLine): boolean {
  return wordCount(text) <= 6 && !/[,.!?]$/.test(text) && !isClosing(text) && !SALUTATION.test(text);
}

/** A line of a closing word, perhaps with the name behind it. */
function isClosing(line: string): boolean {
  const match = CLOSING.exec(line);
  if (!match) return false;
  const rest = line.slice(match[0].length);
  // "Best Western" is no closing, "Best, Anna" is one.
  return (
    rest === '' ||
    ((/[,.!，]\s*$/.test(match[0]) || /^(?:mvh|vh|lg|vg|mfg|hilsen|xx?)\s\p{Lu}/iu.test(line)) &&
      wordCount(rest) <= 4 &&
      !/[@\d]/.test(rest))
  );
}

function saysMore(line: TextLine): boolean {
  return line.text.length > (CLOSING.exec(line.text)?.[0].length ?? 0);
}

/** Words of a line. */
export function wordCount(line: string): number {
  return line.split(/\s+/).filter(Boolean).length;
}

/** Whether a line is running text rather than a value. */
export function isProse(line: string): boolean {
  return (wordCount(line) > PROSE_WORDS && !/[|•·]|\s-\s.*\s-\s/.test(line)) || SALUTATION.test(line);
}
