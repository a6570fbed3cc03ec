import { foldText, LETTERS } from './foldText';

/** Letters whose marks many leave out when they write; in all other scripts a mark makes another letter (Unicode scripts by name). */
const WITH_MARKS =
  /([\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}\p{Script=Hebrew}\p{Script=Arabic}])\p{M}+/gu;

/**
 * Text as it is compared where the question is whether two say the same: lower case, compatibility forms made plain (Unicode NFKD), white
 * space as one space, Latin, Greek, Cyrillic, Hebrew and Arabic letters without marks. Marks of other scripts stay, so that パパ isn't ババ.
 */
export function foldStrictly(text: string): string {
  if (/^[\x20-\x7e]*$/.test(text)) return foldText(text).replace(/ {2,}/g, ' ').trim();
  return text
    .toLowerCase()
    .normalize('NFKD')
    .replace(WITH_MARKS, '$1')
    .normalize('NFC')
    .replace(/[\u00AD\u200B\u2060\uFEFF]/g, '')
    .replace(/[ßæœøđðþłħıŋŧ]/g, (letter) => LETTERS[letter] ?? letter)
    .replace(/\s+/g, ' ')
    .trim();
}

/** A run of letters, their marks and figures, or of symbols that no syntax has, such as a star. */
const WORD = /[\p{L}\p{N}][\p{L}\p{N}\p{M}]*|(?:(?![\x20-\x7e])\p{S})+/gu;

/** The words of a text, folded strictly; an apostrophe divides none. */
export function strictWords(text: string): string[] {
  return foldStrictly(text).replace(/['’`]/g, '').match(WORD) ?? [];
}
