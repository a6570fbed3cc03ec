import type { Card, LeapDayRule } from '@/core/card';

import type { FormatFacts } from './facts';

/** What may be wrong with what people give us. */
export type ProblemCode =
  | 'outside-card'
  | 'not-a-property'
  | 'missing-end'
  | 'empty-card'
  | 'unreadable-card'
  | 'unreadable-value'
  | 'not-this-format';

/** One fault of an input; reading goes on behind it. */
export interface Problem {
  readonly code: ProblemCode;
  /** Counted from 1; 0 where the fault is in the whole. */
  readonly line: number;
  readonly message: string;
  /** The text that could not be taken in, so that it isn't lost. */
  readonly text?: string;
}

/** What was read: the good cards, and what was wrong with the rest. */
export interface ReadResult {
  readonly cards: Card[];
  readonly problems: Problem[];
}

/** How to read. */
export interface ReadOptions {
  /** Told now and then how far it is, 0 to 1, and how many cards there are so far. */
  readonly onProgress?: (share01: number, cards: number) => void;
}

/** How to write. */
export interface WriteOptions {
  /** Whether what only this product understands goes along (JSPROP), so that nothing is lost. Default true. */
  readonly extensions?: boolean;
  /** Calendars: where 29 February is kept in a year without one. */
  readonly leapDay?: LeapDayRule;
  /** Tables: the columns by their headings, in order; without it those that the cards need. */
  readonly columns?: readonly string[];
  readonly onProgress?: (share01: number, cards: number) => void;
}

/** One format of cards in files. All formats are listed in formats/registry. */
export interface CardFormat extends FormatFacts {
  /** How surely the bytes are of this format, 0 to 1; 0 for one that is only written. */
  detect(bytes: Uint8Array): number;
  read?(bytes: Uint8Array, options?: ReadOptions): ReadResult;
  write(cards: readonly Card[], options?: WriteOptions): string;
}

/** A format that can be read as well. */
export type ReadableFormat = CardFormat & Required<Pick<CardFormat, 'read'>>;
