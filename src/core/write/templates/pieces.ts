import { type TemplateContext, valueOf } from './fields';
import { PIECE } from './fillTemplate';

/** A field or a condition as it stands in a text. */
export interface TextPiece {
  readonly from: number;
  readonly to: number;
  readonly kind: 'field' | 'if' | 'end';
  /** Where the other end of a condition begins; undefined for a field, and for a condition that isn't ended. */
  readonly other?: number;
}

/** The fields and conditions of a text, in order; what is in braces and is none of them is plain text. */
export function piecesIn(text: string, context: TemplateContext = {}): TextPiece[] {
  const pieces: TextPiece[] = [];
  const open: number[] = [];
  for (const match of text.matchAll(PIECE)) {
    const [whole, condition, word = ''] = match;
    const place = { from: match.index, to: match.index + whole.length };
    if (condition === undefined && word.trim().toLowerCase() === 'end') {
      const opened = open.pop();
      const start = opened === undefined ? undefined : pieces[opened];
      if (opened === undefined || !start) continue;
      pieces[opened] = { ...start, other: place.from };
      pieces.push({ ...place, kind: 'end', other: start.from });
    } else if (valueOf(word, undefined, context) !== undefined) {
      if (condition !== undefined) open.push(pieces.length);
      pieces.push({ ...place, kind: condition === undefined ? 'field' : 'if' });
    }
  }
  return pieces;
}

/** A text after an edit, and where the caret stands then. */
export interface EditedText {
  readonly text: string;
  readonly caret: number;
}

/**
 * The text that an edit leads to where pieces can't be broken: one that was cut into goes as a whole, a condition with
 * its other end, and what is typed into the middle of one comes after it.
 */
export function editText(before: string, after: string, context: TemplateContext = {}): EditedText {
  const { from, to, inserted } = changeBetween(before, after);
  const pieces = piecesIn(before, context);
  const hit = pieces.filter((piece) => piece.from < to && piece.to > from);
  const inside = pieces.find((piece) => from === to && piece.from < from && piece.to > from);
  if (inside) return put(before, [], inside.to, inserted);
  const start = Math.min(from, ...hit.map((piece) => piece.from));
  const end = Math.max(to, ...hit.map((piece) => piece.to));
  const others = hit
    .flatMap(({ other }) => pieces.find((piece) => piece.from === other) ?? [])
    .filter((piece) => piece.from < start || piece.from >= end);
  return put(before, [{ from: start, to: end }, ...others], start, inserted);
}

/** What was taken out between two texts, and what was put there. */
function changeBetween(before: string, after: string) {
  let from = 0;
  while (from < Math.min(before.length, after.length) && before[from] === after[from]) from += 1;
  let tail = 0;
  const most = Math.min(before.length, after.length) - from;
  while (tail < most && before.at(-1 - tail) === after.at(-1 - tail)) tail += 1;
  return { from, to: before.length - tail, inserted: after.slice(from, after.length - tail) };
}

/** A text without some stretches and with something put where one of them begins. */
function put(
  text: string,
  gone: readonly Pick<TextPiece, 'from' | 'to'>[],
  at: number,
  inserted: string,
): EditedText {
  // From the back, so that what is cut out moves nothing that is still to be cut.
  const left = [...gone]
    .sort((a, b) => b.from - a.from)
    .reduce((rest, { from, to }) => rest.slice(0, from) + rest.slice(to), text);
  const start = gone.reduce((place, { from, to }) => (to <= at ? place - (to - from) : place), at);
  return { text: left.slice(0, start) + inserted + left.slice(start), caret: start + inserted.length };
}

/** A text, and by what its pieces are told from what only stands in braces. */
export interface TextToEdit {
  readonly text: string;
  readonly context?: TemplateContext | undefined;
}

/** Puts a field where the caret stands, or in place of what is selected. @param otherwise - stands for it where it is missing */
export function insertField(
  { text, context }: TextToEdit,
  selection: Selection,
  field: string,
  otherwise = '',
): EditedText {
  const instead = otherwise.replace(/[{}|\n]/g, ' ').trim();
  return insert({ text, context }, selection, `{${field}${instead === '' ? '' : `|${instead}`}}`, '');
}

/** Lets what is selected stand only where a field is known, or only where it isn't. */
export function insertCondition(
  text: TextToEdit,
  selection: Selection,
  field: string,
  isKnown: boolean,
): EditedText {
  return insert(text, selection, `{if ${isKnown ? '' : 'not '}${field}}`, '{end}');
}

/** What is selected of a text; both the same where it is only the caret. */
export interface Selection {
  readonly start: number;
  readonly end: number;
}

/** Puts something before and after what is selected; never into a piece. */
function insert(
  { text, context }: TextToEdit,
  { start, end }: Selection,
  before: string,
  after: string,
): EditedText {
  const pieces = piecesIn(text, context);
  const outside = (at: number, edge: 'from' | 'to') =>
    pieces.find((piece) => piece.from < at && piece.to > at)?.[edge] ?? at;
  const [from, to] = [outside(start, after === '' ? 'to' : 'from'), outside(end, 'to')];
  // A field takes the place of what is selected, a condition goes around it.
  const kept = after === '' ? '' : text.slice(from, to);
  const head = text.slice(0, from) + before + kept;
  return { text: head + after + text.slice(Math.max(from, to)), caret: head.length };
}
