import { foldedWords } from '@/core/base';

import { isSpeltOut, joinedAndDivided, latinSpellings } from './spellings';

/** How letters are written where a keyboard hasn't got them (common practice in German, Danish, Norwegian). */
const SPELT: Readonly<Record<string, string>> = { ä: 'ae', ö: 'oe', ü: 'ue', å: 'aa', ø: 'oe' };

/** The same the other way round: what a folded word is when its two letters were meant as one. */
const MEANT = /ae|oe|ue|aa/g;

/** Scripts that put no spaces between words, so that a word may begin at any letter. */
const UNSPACED =
  /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}\p{Script=Lao}\p{Script=Khmer}]/u;

/** Letters of an unspaced run that words may begin at; names and firms are shorter. */
const MAX_STARTS = 24;

/**
 * Every word by which a value is to be found: its folded words, "Müller" as mueller too, "Mueller" as muller too,
 * each letter of an unspaced script as a beginning, Arabic words without their article, names in Cyrillic, Greek and
 * Hangul as they are written in Latin letters too, and those of East Asia with and without their space.
 */
export function searchWords(text: string): string[] {
  const words = foldedWords(text);
  // Most words are plain, and there are a hundred thousand of them.
  const isPlain = /^[\x20-\x7e]*$/.test(text);
  if (isPlain && !/ae|oe|ue|aa/i.test(text)) return words;
  const all = new Set(words);
  for (const word of words) if (MEANT.test(word)) all.add(word.replace(MEANT, (two) => two.charAt(0)));
  if (isPlain) return [...all];
  const spelt = text.normalize('NFC').replace(/[äöüåø]/gi, (letter) => SPELT[letter.toLowerCase()] ?? letter);
  for (const word of foldedWords(spelt)) all.add(word);
  for (const word of words) {
    if (UNSPACED.test(word)) for (const start of startsOf(word)) all.add(start);
    if (word.startsWith('ال') && word.length > 3) all.add(word.slice(2));
  }
  for (const word of joinedAndDivided(text)) all.add(word);
  if (isSpeltOut(text)) for (const word of latinSpellings(text)) all.add(word);
  return [...all];
}

function startsOf(word: string): string[] {
  const letters = [...word];
  return letters.slice(0, MAX_STARTS).map((_, i) => letters.slice(i).join(''));
}
