import type { Card } from '../../card';
import type { Problem, ReadOptions, ReadResult } from '../format';
import { type ContentLine, type LogicalLine, parseContentLine, readLogicalLines } from './lines';
import { readProperties } from './read/readProperties';
import { uidFromText } from './uidFromText';

/** How many cards are read between two reports of progress. */
const REPORT_EVERY = 250;

/** What a card says of itself as a record, not of a person. */
const RECORD_KEYS = new Set(['@type', 'version', 'uid', 'kind', 'prodId', 'created', 'updated', 'language']);

/** One card's lines. */
interface Block {
  readonly start: number;
  readonly lines: ContentLine[];
  /** As they stood, for reporting a card that can't be read. */
  readonly raw: string[];
}

/**
 * Reads a file of vCards. A fault costs at most the line or the card it is in; each is reported with its line and
 * its text.
 *
 * Source: RFC 6350 and RFC 2426 for the syntax, RFC 9555 for the meaning.
 */
export function readVcard(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const cards: Card[] = [];
  const problems: Problem[] = [];
  let block: Block | undefined;
  const finish = () => {
    const card = block && readBlock(block, problems);
    if (card) cards.push(card);
    block = undefined;
  };
  for (const logical of readLogicalLines(bytes)) {
    const { text, line } = logical;
    if (isMark(text, 'BEGIN')) {
      if (block) problems.push(missingEnd(block.start));
      finish();
      block = { start: line, lines: [], raw: [text] };
    } else if (!block) {
      if (text.trim() !== '') problems.push(outside(logical));
    } else if (isMark(text, 'END')) {
      finish();
      if (cards.length % REPORT_EVERY === 0) options.onProgress?.(logical.share01, cards.length);
    } else {
      takeLine(block, logical, problems);
    }
  }
  if (block) problems.push(missingEnd(block.start));
  finish();
  options.onProgress?.(1, cards.length);
  return { cards, problems };
}

function isMark(text: string, mark: 'BEGIN' | 'END'): boolean {
  // Most lines are told apart by their first letter.
  if (text.length > 40 || !' \tBbEe'.includes(text.charAt(0))) return false;
  return text.trim().toUpperCase().replace(/\s/g, '') === `${mark}:VCARD`;
}

function takeLine(block: Block, logical: LogicalLine, problems: Problem[]): void {
  block.raw.push(logical.text);
  const parsed = parseContentLine(logical);
  if (parsed) block.lines.push(parsed);
  else if (logical.text.trim() !== '') {
    const message = `"${logical.text.slice(0, 40)}" has no name and colon, so it is no property`;
    problems.push({ code: 'not-a-property', line: logical.line, message, text: logical.text });
  }
}

function readBlock({ start, lines, raw }: Block, problems: Problem[]): Card | undefined {
  const text = () => raw.join('\n');
  try {
    const { card, problems: own } = readProperties(lines, () => uidFromText(text()));
    problems.push(...own);
    if (Object.keys(card).some((key) => !RECORD_KEYS.has(key))) return card;
    problems.push({
      code: 'empty-card',
      line: start,
      message: 'this card says nothing about anybody',
      text: text(),
    });
    return undefined;
  } catch (error) {
    const message = `this card can't be read: ${error instanceof Error ? error.message : String(error)}`;
    problems.push({ code: 'unreadable-card', line: start, message, text: text() });
    return undefined;
  }
}

function missingEnd(line: number): Problem {
  return {
    code: 'missing-end',
    line,
    message: 'the card that begins here has no END:VCARD; it was read up to the next',
  };
}

function outside({ text, line }: LogicalLine): Problem {
  return { code: 'outside-card', line, message: 'this line stands outside of any card', text };
}
