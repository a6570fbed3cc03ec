/** What a stretch of text can be. */
export const SPAN_FIELDS = [
  'name',
  'sounds',
  'post',
  'department',
  'organisation',
  'phone',
  'mobile',
  'fax',
  'mail',
  'link',
  'account',
  'street',
  'building',
  'postOfficeBox',
  'postcode',
  'town',
  'region',
  'country',
  'pronouns',
  'birthday',
  'note',
] as const;

/** What a stretch of text is. */
export type SpanField = (typeof SPAN_FIELDS)[number];

/** A stretch of the text and what it is. */
export interface TextSpan {
  /** Code units from the beginning of the text. */
  readonly start: number;
  /** The first code unit that is no longer part of it. */
  readonly end: number;
  readonly field: SpanField;
  /** Work or private, where a label beside it says so. */
  readonly context?: 'work' | 'private';
  /** Of a street: whether letters go there. */
  readonly isDelivery?: boolean;
  /** Of an account: what it is with, as its label says. */
  readonly service?: string;
  /** Of a number: the label says that it is a fax as well. */
  readonly alsoFax?: boolean;
}

/** What is known beside the text. */
export interface ExtractOptions {
  /** ISO 3166-1 alpha-2: where the reader is; what the text says of countries goes first. */
  readonly country?: string;
}

/** A stretch of a text, in code units from its beginning. */
export interface TextRange {
  readonly start: number;
  readonly end: number;
}

/** Whether two stretches have a code unit in common. */
export function overlaps(a: TextRange, b: TextRange): boolean {
  return a.start < b.end && b.start < a.end;
}

/** Whether a stretch has anything in common with one of several. */
export function overlapsAny(one: TextRange, all: readonly TextRange[]): boolean {
  return all.some((other) => overlaps(one, other));
}

/** Marks in the order of the text, without those that would overlap an earlier one. */
export function inOrder(marks: readonly TextSpan[]): TextSpan[] {
  const kept: TextSpan[] = [];
  for (const mark of [...marks].sort((a, b) => a.start - b.start || b.end - a.end))
    if (mark.end > mark.start && mark.start >= (kept.at(-1)?.end ?? 0)) kept.push(mark);
  return kept;
}
