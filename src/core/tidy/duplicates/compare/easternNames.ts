import type { DuplicateFacts } from '../facts/facts';
import { isEastern, type NameWord, type ReadName } from '../facts/nameWords';
import { mayBeJapanese } from './compareWords';

/** Of a name in Chinese characters what its mailbox says, where the other is in Latin letters. */
export function inLatin(facts: DuplicateFacts, other: DuplicateFacts): DuplicateFacts {
  const { name } = facts;
  if (!isEastern(name.script) || name.others.length < 2 || other.name.script !== 'latin') return facts;
  return { ...facts, name: { ...name, words: name.others, others: [], script: 'latin' } };
}

/** Words of a name in one. */
export const joined = (words: readonly NameWord[]): string => words.map(({ text }) => text).join('');

/** A name in Chinese characters as one word: where it is written without a space, nobody says where its surname ends. */
function asWhole({ words }: ReadName): string {
  return joined([
    ...words.filter(({ role }) => role === 'surname'),
    ...words.filter(({ role }) => role !== 'surname'),
  ]);
}

/** Whether two names in Chinese characters are the same signs. */
export function areSameSigns(a: ReadName, b: ReadName): boolean {
  return a.script === 'han' && b.script === 'han' && asWhole(a) === asWhole(b);
}

/**
 * Names in Chinese characters are put into Latin letters as they sound in Chinese, which the names of Japan don't; so of what
 * looks like one of Japan they say nothing.
 */
export function areComparable(a: ReadName, b: ReadName, matches: number): boolean {
  if (a.script === b.script || isEastern(a.script) === isEastern(b.script)) return true;
  if (matches > 0 && a.script !== 'kana' && b.script !== 'kana') return true;
  const { script, words } = isEastern(a.script) ? b : a;
  return script === 'latin' && words.length > 1 && words.every(({ text }) => !mayBeJapanese(text));
}
