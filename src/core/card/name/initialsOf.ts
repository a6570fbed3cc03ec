import type { Card } from '../schema/types';
import { nameParts, splitParticles } from './nameParts';
import { shownAs } from './shownAs';

/**
 * One or two letters that stand for a card where it has no portrait: first of given name and surname, in the
 * order shown; the first two words of an organisation; the first character of a name in Han or Hangul.
 *
 * @returns '' for a card without a name
 */
export function initialsOf(card: Card): string {
  const shown = shownAs(card);
  if (/^[\p{Script=Han}\p{Script=Hangul}\p{Script=Hiragana}\p{Script=Katakana}]/u.test(shown)) {
    return firstLetter(shown);
  }
  const surname = splitParticles(nameParts(card.name, 'surname')).stem;
  const given = nameParts(card.name, 'given');
  if (given !== '' && surname !== '' && card.kind !== 'org') return firstLetter(given) + firstLetter(surname);
  const words = shown.split(/[\s-]+/).filter((word) => /^[\p{L}\p{N}]/u.test(word));
  const last = card.kind === 'org' ? words[1] : words.at(-1);
  return firstLetter(words[0] ?? '') + (words.length > 1 ? firstLetter(last ?? '') : '');
}

function firstLetter(word: string): string {
  return ([...word][0] ?? '').toLocaleUpperCase();
}
