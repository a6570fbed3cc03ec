import type { FindOrder } from '../rules/fields';
import type { Test } from '../rules/rule';
import type { LineBook } from './lineBook';
import { beginsWith, type LineToken } from './lineTokens';

/** A limit at the beginning of some words. */
export interface ReadLimit {
  readonly test?: Test;
  readonly order?: FindOrder;
  readonly taken: number;
  /** Whether it is a word alone, which by itself is rather one to be found anywhere. */
  readonly isBare?: boolean;
}

/** Reads a limit at the beginning of some words, if there is one. */
export type Reader = (tokens: readonly LineToken[], book: LineBook, today: string) => ReadLimit | undefined;

/** A limit of one test. */
export const one = (test: Test, taken: number): ReadLimit => ({ test, taken });

/** The words in small letters. */
export const lows = (tokens: readonly LineToken[]) => tokens.map(({ low }) => low);

/** The first of some phrases that the words begin with, and how many words it has. */
export function phraseAt(tokens: readonly LineToken[], phrases: readonly string[]): number | undefined {
  const found = phrases
    .toSorted((a, b) => b.length - a.length)
    .find((phrase) => beginsWith(tokens, phrase.split(' ')));
  return found?.split(' ').length;
}

/** The same of words in small letters. */
export function phraseOf(words: readonly string[], phrases: readonly string[]): number | undefined {
  const found = phrases.find((phrase) => phrase.split(' ').every((word, i) => words[i] === word));
  return found?.split(' ').length;
}
