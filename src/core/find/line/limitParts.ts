import type { Uid } from '@/core/card';

import type { FindOrder } from '../rules/fields';
import type { Test } from '../rules/rule';
import type { LineBook, NamedList } from './lineBook';
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

/** The longest of some phrases that the words begin with, as its count of words. */
export function phraseAt(tokens: readonly LineToken[], phrases: readonly string[]): number | undefined {
  return longest(phrases, tokens[0]?.low, (words) => beginsWith(tokens, words));
}

/** The same of words in small letters. */
export function phraseOf(words: readonly string[], phrases: readonly string[]): number | undefined {
  return longest(phrases, words[0], (phrase) => phrase.every((word, i) => words[i] === word));
}

function longest(
  phrases: readonly string[],
  first = '',
  isThere: (words: readonly string[]) => boolean,
): number | undefined {
  let most: number | undefined;
  for (const phrase of phrases) {
    // Most begin with another word, and needn't be taken apart.
    if (!phrase.startsWith(first)) continue;
    const words = phrase.split(' ');
    if (words.length > (most ?? 0) && isThere(words)) most = words.length;
  }
  return most;
}

/** A list by as many words as name one, and where it ends; the word "list" behind it belongs to it. */
export function listAt(
  tokens: readonly LineToken[],
  from: number,
  book: LineBook,
  isWanted: (list: NamedList, isCalledList: boolean) => boolean = () => true,
): { readonly uid: Uid; readonly end: number } | undefined {
  for (let count = Math.min(5, tokens.length - from); count > 0; count -= 1) {
    const list = book.list(tokens.slice(from, from + count).map(({ raw }) => raw));
    const isCalledList = tokens[from + count]?.low === 'list';
    if (list && isWanted(list, isCalledList))
      return { uid: list.uid, end: from + count + (isCalledList ? 1 : 0) };
  }
  return undefined;
}
