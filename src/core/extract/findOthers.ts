import { newCard, shownAs } from '@/core/card';

import { extractCard } from './extractCard';
import { FORWARD_HEAD, HEAD_FIELD, ORIGINAL_HEAD, QUOTE_HEAD } from './mailWords';
import { isMailHead } from './readableLines';
import type { ExtractOptions } from './spans';

/** Somebody else who has written in a text, and the part of it that is theirs. */
export interface OtherWriter {
  readonly name: string;
  /** To be read by itself; quote marks are taken off. */
  readonly text: string;
}

/** Deeper quotes than this are old talk. */
const MAX_OTHERS = 3;
/** Who wrote a quoted mail, in the line above it: "On …, Marcus Webb <marcus@webb.example> wrote:". */
const WRITER =
  /(?:^|[\d,:]\s*|(?:AM|PM|Uhr|schrieb|par)\s+)(?<name>\p{Lu}[\p{L}\p{M} .'’-]{1,60}?)\s*<(?<mail>[^<>\s]+@[^<>\s]+)>/u;

/**
 * Who else has written in a thread: each quoted mail by itself. The card is made of the last signature; these can be
 * read instead.
 *
 * @returns those whose name can be told and isn't the first one's, in the order of the text
 */
export function findOthers(text: string, options: ExtractOptions = {}): OtherWriter[] {
  const lines = text.replace(/\r\n?/g, '\n').split('\n');
  const starts = lines.flatMap((_, i) => (startsQuote(lines, i) ? [i] : []));
  const [first] = starts;
  if (first === undefined) return [];
  const names = new Set([nameOf(lines.slice(0, first).join('\n'), options)]);
  const others: OtherWriter[] = [];
  for (const [i, start] of starts.entries()) {
    if (others.length >= MAX_OTHERS) break;
    const part = partOf(lines, start, starts[i + 1] ?? lines.length);
    const name = nameOf(part, options);
    if (name === undefined || names.has(name)) continue;
    names.add(name);
    others.push({ name, text: part });
  }
  return others;
}

/** A line above what somebody wrote before: "On … wrote:", "Original message", or the head of that mail. */
function startsQuote(lines: readonly string[], i: number): boolean {
  const line = bare(lines[i] ?? '');
  if (QUOTE_HEAD.test(line) || ORIGINAL_HEAD.test(line) || FORWARD_HEAD.test(line)) return true;
  const isHead = isMailHead(line, bare(lines[i + 1] ?? ''));
  const above = bare(lines[i - 1] ?? '');
  return (
    isHead && i > 0 && !ORIGINAL_HEAD.test(above) && !FORWARD_HEAD.test(above) && !HEAD_FIELD.test(above)
  );
}

function partOf(lines: readonly string[], start: number, end: number): string {
  const head = bare(lines[start] ?? '');
  const writer = WRITER.exec(head)?.groups;
  const from = writer ? [`From: ${writer['name'] ?? ''} <${writer['mail'] ?? ''}>`, ''] : [];
  const isField = HEAD_FIELD.test(head);
  return [...from, ...lines.slice(isField ? start : start + 1, end).map(bare)].join('\n').trim();
}

/** A line without the marks of quoting (RFC 3676 §4.5). */
function bare(line: string): string {
  return line.replace(/^\s*(?:>\s?)+/, '').trimEnd();
}

function nameOf(part: string, options: ExtractOptions): string | undefined {
  if (part.trim() === '') return undefined;
  const { card } = extractCard(part, newCard('other', '2000-01-01T00:00:00Z'), options);
  return card.kind === 'org' || card.name === undefined ? undefined : shownAs(card);
}
