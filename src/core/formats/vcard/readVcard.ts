import { encodeUtf8, errorMessage } from '@/core/base';
import type { Card } from '@/core/card';
import { texts } from '@/texts/formats/vcard';

import type { ContentLine } from '../contentLines/contentLine';
import { decodeLegacy } from '../contentLines/decodeLegacy';
import { parseContentLine } from '../contentLines/parseContentLine';
import { type LogicalLine, readLogicalLines } from '../contentLines/readLogicalLines';
import { escapeText, unescapeText } from '../contentLines/text';
import type { Problem, ReadOptions, ReadResult } from '../format/format';
import { readProperties } from '../properties/read/readProperties';
import { uidFromText } from '../properties/uidFromText';

/** How many cards are read between two reports of progress. */
const REPORT_EVERY = 250;

/** The deepest nesting of cards that is read; deeper files are hostile. */
const MAX_NESTING = 8;

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
 * Source: RFC 6350 and RFC 2426 for the syntax, vCard 2.1 (versit, 1996; from memory) for older files, RFC 9555 for
 * the meaning. An agent's card inside another becomes a card of its own, related as `agent` (RFC 6350 §6.6.6).
 */
export function readVcard(bytes: Uint8Array, options: ReadOptions = {}): ReadResult {
  const cards: Card[] = [];
  const problems: Problem[] = [];
  const result = { cards, problems };
  /** The card being read, and those it is nested in. */
  const open: Block[] = [];
  for (const logical of readLogicalLines(bytes)) {
    const { text, line } = logical;
    const block = open.at(-1);
    if (isMark(text, 'BEGIN')) {
      if (block && !isAgent(block.lines.at(-1))) finishBroken(open, result);
      if (open.length < MAX_NESTING) open.push({ start: line, lines: [], raw: [text] });
    } else if (!block) {
      if (text.trim() !== '') problems.push(outside(logical));
    } else if (isMark(text, 'END')) {
      finish(open, result);
      if (cards.length % REPORT_EVERY === 0) options.onProgress?.(logical.share01, cards.length);
    } else {
      takeLine(block, logical, problems);
    }
  }
  if (open.length > 0) finishBroken(open, result);
  options.onProgress?.(1, cards.length);
  return result;
}

const MARKS = { BEGIN: /^\s*BEGIN\s*:\s*VCARD\s*$/i, END: /^\s*END\s*:\s*VCARD\s*$/i };
/** Lower-cases ASCII letters only: setting the lower-case bit of a tab would turn it into another character. */
const [SPACE, TAB, LOWER_B, LOWER_E, LOWER_N] = [32, 9 | 32, 98, 101, 110];

function isMark(text: string, mark: 'BEGIN' | 'END'): boolean {
  // Most lines are told apart by their first letter, EMAIL from END by its second.
  const first = text.charCodeAt(0) | 32;
  const isIndented = first === SPACE || first === TAB;
  if (!isIndented && (first !== (mark === 'BEGIN' ? LOWER_B : LOWER_E) || text.length > 40)) return false;
  if (first === LOWER_E && (text.charCodeAt(1) | 32) !== LOWER_N) return false;
  return MARKS[mark].test(text);
}

/** Whether a card may follow inside: AGENT of vCard 2.1 has its value on the next lines. */
function isAgent(line: ContentLine | undefined): boolean {
  return line?.name === 'AGENT' && line.value.trim() === '';
}

/** Ends the innermost card; one inside another is noted there as its agent. */
function finish(open: Block[], { cards, problems }: ReadResult): void {
  const block = open.pop();
  const card = block && readBlock(block, { cards, problems });
  if (!card) return;
  cards.push(card);
  const around = open.at(-1);
  const agent = around?.lines.pop();
  if (around && agent) around.lines.push(asRelated(agent, card.uid));
}

function asRelated(agent: ContentLine, value: string): ContentLine {
  return { ...agent, name: 'RELATED', params: { TYPE: ['agent'] }, value: escapeText(value) };
}

/** Ends cards that have no END. */
function finishBroken(open: Block[], result: ReadResult): void {
  while (open.length > 0) {
    const { start: line } = open.at(-1) ?? { start: 0 };
    const message = texts.cardThatBeginsHere;
    result.problems.push({ code: 'missing-end', line, message });
    finish(open, result);
  }
}

function takeLine(block: Block, logical: LogicalLine, problems: Problem[]): void {
  block.raw.push(logical.text);
  const parsed = parseContentLine(logical);
  if (parsed) block.lines.push(parsed);
  else if (logical.text.trim() !== '') {
    const message = texts.hasNoNameAndColon(logical.text.slice(0, 40));
    problems.push({ code: 'not-a-property', line: logical.line, message, text: logical.text });
  }
}

function readBlock({ start, lines, raw }: Block, result: ReadResult): Card | undefined {
  const { problems } = result;
  const text = () => raw.join('\n');
  const isVersion21 = lines.some(({ name, value }) => name === 'VERSION' && value.trim() === '2.1');
  try {
    // In place: most lines stay as they are, and there are hundreds of thousands of them.
    lines.forEach((line, i) => {
      if (isVersion21 || needsDecoding(line)) lines[i] = readAgent(decodeLegacy(line, isVersion21), result);
    });
    const { card, problems: own } = readProperties(lines, () => uidFromText(text()));
    problems.push(...own);
    if (Object.keys(card).some((key) => !RECORD_KEYS.has(key))) return card;
    problems.push({
      code: 'empty-card',
      line: start,
      message: texts.thisCardIsEmpty,
      text: text(),
    });
    return undefined;
  } catch (error) {
    const message = texts.thisCardCantBeRead(errorMessage(error));
    problems.push({ code: 'unreadable-card', line: start, message, text: text() });
    return undefined;
  }
}

/** Whether a line may be in the manner of vCard 2.1, whatever version its card says it is of. */
function needsDecoding({ name, params }: ContentLine): boolean {
  for (const param in params)
    if (param === 'TYPE' || param === 'ENCODING' || param === 'CHARSET') return true;
  return name === 'AGENT';
}

/** AGENT of vCard 3.0 (RFC 2426 §3.5.4): a card as text, or where to find one. */
function readAgent(line: ContentLine, { cards, problems }: ReadResult): ContentLine {
  if (line.name !== 'AGENT' || line.value.trim() === '') return line;
  const value = unescapeText(line.value);
  if (line.params['VALUE']?.[0]?.toLowerCase() === 'uri') return asRelated(line, value);
  if (!/^\s*BEGIN\s*:\s*VCARD/i.test(value)) return line;
  const nested = readVcard(encodeUtf8(value));
  problems.push(...nested.problems.map((problem) => ({ ...problem, line: line.line })));
  cards.push(...nested.cards);
  const [first] = nested.cards;
  return first ? asRelated(line, first.uid) : line;
}

function outside({ text, line }: LogicalLine): Problem {
  return { code: 'outside-card', line, message: texts.thisLineIsOutside, text };
}
