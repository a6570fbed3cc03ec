import type { DuplicateFacts } from '../facts/facts';
import type { NameWord } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { isShortForm, mayBeShort } from './compareWords';
import { areComparable } from './easternNames';
import type { Conflict, WordMatch } from './nameComparison';
import { leaning } from './weighWords';

/** What of two names is left over beside the words that agree, and what that says. */
export function conflictOf(
  a: DuplicateFacts,
  b: DuplicateFacts,
  [mine, theirs]: readonly [readonly NameWord[], readonly NameWord[]],
  matches: readonly WordMatch[],
  vocabulary: Vocabulary,
): Conflict {
  if (mine.length === 0 && theirs.length === 0) return 'none';
  if (mine.length === 0 || theirs.length === 0) return 'extra';
  if (!areComparable(a.name, b.name, matches.length)) return 'scripts';
  if (goesBy(mine, b.nicknames) || goesBy(theirs, a.nicknames)) return 'none';
  if (matches.length === 0) return 'other';
  const hasGiven = matches.some(({ isGiven: given, level }) => given && level !== 'initial');
  const hasSurname = matches.some(({ isGiven: given }) => !given);
  if (hasGiven && hasSurname) return secondConflict(mine, theirs, vocabulary);
  const hasInitial = hasSurname && matches.some(({ level }) => level === 'initial');
  // An initial is a given name's; what else is left may be other surnames, but no other given name.
  if (hasInitial && ![mine, theirs].every((words) => words.some((word) => leaning(word, vocabulary) > 0)))
    return secondConflict(mine, theirs, vocabulary);
  if (hasGiven) return areGivenLeft([mine, theirs], matches, vocabulary) ? 'otherGiven' : 'otherSurname';
  return mine.some((one) => theirs.some((other) => areAlike(one.text, other.text, vocabulary)))
    ? 'likeGiven'
    : 'otherGiven';
}

/** A book has a given name this much oftener than as a surname if it is one. Ours. */
const KNOWN = 4;

/** Whether one given name may be a pet form of the other; two that are known have to have more in common than a letter. */
function areAlike(a: string, b: string, vocabulary: Vocabulary): boolean {
  const alike = mayBeShort(a, b);
  if (alike !== 'begins') return alike !== undefined;
  return (
    vocabulary.leaningOf(a) < KNOWN || vocabulary.leaningOf(b) < KNOWN || a.slice(0, 3) === b.slice(0, 3)
  );
}

/** Whether what is left of both is rather given names than what they have in common is one. */
function areGivenLeft(
  left: readonly (readonly NameWord[])[],
  matches: readonly WordMatch[],
  vocabulary: Vocabulary,
): boolean {
  const met = Math.max(...matches.map(({ word }) => vocabulary.leaningOf(word)));
  return left.every((words) => words.some(({ text }) => vocabulary.leaningOf(text) > Math.max(2, met + 2)));
}

/** Both have a given name and a surname in common, and each one word more: another second name, or another second surname. */
function secondConflict(
  mine: readonly NameWord[],
  theirs: readonly NameWord[],
  vocabulary: Vocabulary,
): Conflict {
  const leanings = [mine, theirs].map((words) => words.map((word) => leaning(word, vocabulary)));
  if (leanings.flat().every((one) => one < 0)) return 'otherSecondSurname';
  return leanings.every((all) => all.some((one) => one > 0)) ? 'otherSecondGiven' : 'extra';
}

function goesBy(words: readonly NameWord[], nicknames: readonly string[]): boolean {
  return words.some(({ text }) => nicknames.some((nick) => nick === text || isShortForm(nick, text)));
}
