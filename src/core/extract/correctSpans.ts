import { inOrder, overlaps, type SpanField, type TextRange, type TextSpan } from './spans';

/** What somebody says a stretch of the text is. */
export interface SpanCorrection extends TextRange {
  /** undefined: nothing of the card. */
  readonly field: SpanField | undefined;
}

/** Fields of which a card made from a text has one. */
const SINGLE: ReadonlySet<SpanField> = new Set([
  'name',
  'sounds',
  'organisation',
  'department',
  'birthday',
  'pronouns',
]);

/**
 * The marks with a correction: what was marked there goes as far as the new stretch reaches, and a name, of which there
 * is one, is no longer where it was taken to be. Touching stretches of the same field become one, so that a name of
 * three words can be said word by word.
 */
export function correctSpans(
  text: string,
  marks: readonly TextSpan[],
  correction: SpanCorrection,
): TextSpan[] {
  const { start, end, field } = correction;
  const joined =
    field === undefined
      ? []
      : marks.filter((mark) => mark.field === field && touches(text, mark, correction));
  const others = marks.flatMap((mark) => (joined.includes(mark) ? [] : without(mark, start, end)));
  const kept =
    field !== undefined && SINGLE.has(field) ? others.filter((mark) => mark.field !== field) : others;
  if (field === undefined) return inOrder(kept);
  const from = Math.min(start, ...joined.map((mark) => mark.start));
  const to = Math.max(end, ...joined.map((mark) => mark.end));
  return inOrder([...kept, { start: from, end: to, field }]);
}

/** What is left of a mark beside a stretch. */
function without(mark: TextSpan, start: number, end: number): TextSpan[] {
  if (mark.end <= start || end <= mark.start) return [mark];
  const left = { ...mark, end: start };
  const right = { ...mark, start: end };
  return [left, right].filter((piece) => piece.end > piece.start);
}

function touches(text: string, mark: TextSpan, { start, end }: TextRange): boolean {
  if (overlaps(mark, { start, end })) return true;
  const between = mark.end <= start ? text.slice(mark.end, start) : text.slice(end, mark.start);
  return /^[ \t]*$/.test(between);
}
