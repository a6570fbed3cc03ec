import { foldedWords, foldText } from '@/core/base';
import { parsePhone } from '@/core/card';

import { isSpeltOut, latinSpellings } from './spellings';

/** Digits of a number behind the code of its country, before which it may be kept in a book of another country. */
const MIN_HOME_DIGITS = 6;

/** Digits that must be typed before parts of numbers are looked for; fewer would find nearly everything. */
const MIN_DIGITS = 3;

/** One word of a query. */
export interface Term {
  readonly word: string;
  /** The same in Latin letters, of scripts that are spelt out. */
  readonly spellings: readonly string[];
  /** Where it may be part of a number, without the zeros that only dial abroad. */
  readonly digits?: string;
  /** The same without the code of its country, where it has one. */
  readonly home?: string;
}

/** "0158 55 brz" is a part of a number and a word: digits that stand together are one number. */
export function toTerms(text: string): Term[] {
  const homes = new Map<string, string>();
  const joined = foldText(text).replace(/[+(]?\d[\d\s()./-]*\d/g, (run) => {
    const digits = run.replace(/\D/g, '');
    const parsed = /^(?:\+|00)/.test(run) ? parsePhone(run) : undefined;
    const home = parsed?.e164.slice(1 + parsed.callingCode.length) ?? '';
    if (home.length >= MIN_HOME_DIGITS) homes.set(digits, home);
    return ` ${digits} `;
  });
  return foldedWords(joined).map((word) => {
    const spellings = isSpeltOut(word) ? latinSpellings(word) : [];
    const digits = /^\d+$/.test(word) ? word.replace(/^0+/, '') : '';
    const home = homes.get(word);
    return {
      ...{ word, spellings },
      ...(digits.length >= MIN_DIGITS ? { digits } : {}),
      ...(home === undefined ? {} : { home }),
    };
  });
}

/** Whether one of some words begins as a term does, in one of its spellings. */
export function beginsIn(words: readonly string[], { word, spellings }: Term): boolean {
  return [word, ...spellings].some((one) => words.some((known) => known.startsWith(one)));
}

/** Whether a name is found by another spelling of it only. @param all - its words in all spellings (`searchWords`) */
export function isRespelt(shown: string, all: readonly string[], terms: readonly Term[]): boolean {
  const plain = foldedWords(shown);
  const isIn = (words: readonly string[], { word }: Term) => words.some((one) => one.startsWith(word));
  return plain.length < all.length && terms.some((term) => isIn(all, term) && !isIn(plain, term));
}
