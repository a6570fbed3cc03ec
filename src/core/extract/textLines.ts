/** A piece of a line between separators. */
export interface Segment {
  readonly start: number;
  readonly end: number;
  readonly text: string;
}

/** A line that is read. */
export interface TextLine extends Segment {
  /** Counted from 0 in the whole text. */
  readonly index: number;
  readonly segments: readonly Segment[];
}

/** What stands between two values on one line. A dash needs space around it, a stroke too: "Tel/Fax" is one label. */
const SEPARATOR = /\s*[|•·●▪■◆♦‧・∙⋅¦]\s*|\s*[,;，、；]\s*|\t+| {3,}| +[-/~] +|\s*\*\s+/g;

/** The lines of a text with their places, without the space around them; blank lines count but don't come. */
export function textLines(text: string): TextLine[] {
  const lines: TextLine[] = [];
  let at = 0;
  for (const [index, raw] of text.split('\n').entries()) {
    const line = trimmed(text, at, at + raw.length);
    at += raw.length + 1;
    if (line.text !== '') lines.push({ ...line, index, segments: segmentsOf(text, line) });
  }
  return lines;
}

/** A stretch of the text without the space at its ends. */
export function trimmed(text: string, start: number, end: number): Segment {
  let from = start;
  let to = end;
  while (from < to && /\s/.test(text.charAt(from))) from += 1;
  while (to > from && /\s/.test(text.charAt(to - 1))) to -= 1;
  return { start: from, end: to, text: text.slice(from, to) };
}

function segmentsOf(text: string, line: Segment): Segment[] {
  const segments: Segment[] = [];
  let from = line.start;
  // A katakana name has the middle dot within itself.
  for (const match of line.text.matchAll(SEPARATOR)) {
    const at = line.start + match.index;
    if (match[0].includes('・') && /[\u30a0-\u30ff]/.test(text.charAt(at - 1))) continue;
    segments.push(trimmed(text, from, at));
    from = at + match[0].length;
  }
  segments.push(trimmed(text, from, line.end));
  return segments.filter((segment) => segment.text !== '');
}
