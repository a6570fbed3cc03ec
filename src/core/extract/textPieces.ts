import type { SpanField, TextRange, TextSpan } from './spans';

/** A piece of a text that can be pressed: what is marked, or a word that isn't. */
export interface TextPiece extends TextRange {
  readonly text: string;
  readonly field: SpanField | undefined;
}

/** A word: what stands between space and the signs that part values. */
const WORD = /[^\s|•·,;<>()]+/g;

/** The lines of a text, each in the pieces that can be pressed; lines without any are left out. */
export function textPieces(text: string, marks: readonly TextSpan[]): TextPiece[][] {
  const lines: TextPiece[][] = [];
  let at = 0;
  for (const raw of text.split('\n')) {
    const end = at + raw.length;
    const pieces: TextPiece[] = [];
    let from = at;
    for (const mark of marks.filter((one) => one.start >= at && one.end <= end)) {
      pieces.push(...wordsIn(text, from, mark.start));
      pieces.push({
        start: mark.start,
        end: mark.end,
        text: text.slice(mark.start, mark.end),
        field: mark.field,
      });
      from = mark.end;
    }
    pieces.push(...wordsIn(text, from, end));
    if (pieces.length > 0) lines.push(pieces);
    at = end + 1;
  }
  return lines;
}

function wordsIn(text: string, start: number, end: number): TextPiece[] {
  return [...text.slice(start, end).matchAll(WORD)].map(({ 0: word, index }) => ({
    ...{ start: start + index, end: start + index + word.length },
    ...{ text: word, field: undefined },
  }));
}
