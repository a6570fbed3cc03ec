import { CARD_SCHEME, decodeUid } from './cardLinks';

/** A run of text that looks and acts the same. */
export type NoteSpan =
  | { readonly kind: 'text' | 'strong' | 'emphasis'; readonly text: string }
  | { readonly kind: 'web'; readonly text: string; readonly uri: string }
  | { readonly kind: 'card'; readonly text: string; readonly uid: string };

/** A line of a note; a list's lines have a mark before them. */
export interface NoteBlock {
  readonly kind: 'line' | 'item';
  readonly spans: readonly NoteSpan[];
}

/** **strong**, *emphasis*, [a card](card:…), [words](https://…), and a web address by itself; in this order. */
const SPAN =
  /\*\*(?<strong>\S(?:[^*\n]*\S)?)\*\*|\*(?<emphasis>[^\s*](?:[^*\n]*[^\s*])?)\*|\[(?<words>[^\][\n]+)\]\((?<target>(?:card:|https?:\/\/)[^)\s]+)\)|(?<bare>https?:\/\/[^\s<>"')\]]+[^\s<>"')\].,;:!?])/g;

/** Takes a note apart into lines and what stands in them. Any text is a note; markup that isn't known stays text. */
export function parseNote(note: string): NoteBlock[] {
  return note.split(/\r?\n/).map((line) => {
    const item = /^\s*[-*•]\s+(.*)$/.exec(line);
    return item ? { kind: 'item', spans: spansOf(item[1] ?? '') } : { kind: 'line', spans: spansOf(line) };
  });
}

/** Whether something in a note leads elsewhere. */
export function noteHasLinks(note: string): boolean {
  return parseNote(note).some(({ spans }) => spans.some(({ kind }) => kind === 'web' || kind === 'card'));
}

function spansOf(line: string): NoteSpan[] {
  const spans: NoteSpan[] = [];
  let end = 0;
  for (const match of line.matchAll(SPAN)) {
    const span = spanOf(match.groups ?? {});
    if (!span) continue;
    if (match.index > end) spans.push({ kind: 'text', text: line.slice(end, match.index) });
    spans.push(span);
    end = match.index + match[0].length;
  }
  if (end < line.length || spans.length === 0) spans.push({ kind: 'text', text: line.slice(end) });
  return spans;
}

function spanOf({
  strong,
  emphasis,
  words,
  target,
  bare,
}: Record<string, string | undefined>): NoteSpan | undefined {
  if (strong !== undefined) return { kind: 'strong', text: strong };
  if (emphasis !== undefined) return { kind: 'emphasis', text: emphasis };
  if (bare !== undefined) return { kind: 'web', text: bare, uri: bare };
  if (words === undefined || target === undefined) return undefined;
  if (!target.startsWith(CARD_SCHEME)) return { kind: 'web', text: words, uri: target };
  const uid = decodeUid(target.slice(CARD_SCHEME.length));
  return uid === undefined ? undefined : { kind: 'card', text: words, uid };
}
