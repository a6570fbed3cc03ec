import type { DuplicateFacts } from '../facts/facts';
import type { NameWord, ReadName } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { likeness, type WordLevel } from './compareWords';
import { areSameSigns, inLatin, joined } from './easternNames';
import type { NameComparison, WordMatch } from './nameComparison';
import { conflictOf } from './nameConflicts';
import { chanceOf, isGiven, weighTogether } from './weighWords';

const NOTHING: NameComparison = { matches: [], together: 1, conflict: 'missing' };

/** Compares the words of two names, each with the one of the other that agrees best. */
export function compareNames(
  said: DuplicateFacts,
  other: DuplicateFacts,
  vocabulary: Vocabulary,
): NameComparison {
  const [a, b] = [inLatin(said, other), inLatin(other, said)];
  const [mine, theirs] = [a.name.words, b.name.words];
  if (mine.length < 2 || theirs.length < 2) {
    const found = byMailbox(a, b, vocabulary);
    if (found.matches.length > 1 || mine.length === 0 || theirs.length === 0) return found;
  }
  if (mine.length > 1 && areSameSigns(a.name, b.name)) return byWords(a.name, b.name, vocabulary);
  const matches: WordMatch[] = [];
  const taken = [new Set<NameWord>(), new Set<NameWord>()] as const;
  for (const [one, other, level] of agreements(a, b, vocabulary)) {
    if (taken[0].has(one) || taken[1].has(other)) continue;
    taken[0].add(one);
    taken[1].add(other);
    const chance = chanceOf(one, other, level, vocabulary);
    matches.push({ level, word: one.text, chance, isGiven: isGiven(one, other, vocabulary) });
  }
  const particles = a.name.particles + b.name.particles;
  const left = ({ words }: ReadName, met: ReadonlySet<NameWord>) =>
    words.filter((word) => !met.has(word) && !(word.text.length === 1 && particles.includes(word.text)));
  const leftMine = left(a.name, taken[0]);
  const leftTheirs = left(b.name, taken[1]);
  if (leftMine.length > 0 && leftTheirs.length > 0)
    matches.push(
      ...byOthers(a.name, leftTheirs, leftMine, vocabulary),
      ...byOthers(b.name, leftMine, leftTheirs, vocabulary),
    );
  // Written apart or in one word: Ji Young, Jiyoung.
  const level =
    leftMine.length === leftTheirs.length ? undefined : likeJoined(leftMine, leftTheirs, a, b, vocabulary);
  if (level !== undefined) {
    matches.push({
      level,
      word: '',
      chance: chanceOf(leftMine[0], leftTheirs[0], level, vocabulary),
      isGiven: true,
    });
    return { ...weighTogether(matches, vocabulary), conflict: 'none' };
  }
  const conflict = conflictOf(a, b, [leftMine, leftTheirs], matches, vocabulary);
  // Where given names differ, what they have in common is the surname, in whatever field it stands.
  const asSurnames =
    conflict === 'otherGiven'
      ? matches.map((match) => ({ ...match, isGiven: match.level === 'initial' }))
      : matches;
  return { ...weighTogether(asSurnames, vocabulary), conflict };
}

/** Words that a mailbox of the one has and the name of the other; taken out of what is left of both. */
function byOthers(
  { others }: ReadName,
  theirs: NameWord[],
  mine: NameWord[],
  vocabulary: Vocabulary,
): WordMatch[] {
  return others.flatMap(({ text }): WordMatch[] => {
    const at = theirs.findIndex((word) => word.text === text);
    const [met] = at < 0 ? [] : theirs.splice(at, 1);
    if (!met) return [];
    const given = isGiven(met, met, vocabulary);
    const own = mine.findIndex((word) => isGiven(word, word, vocabulary) === given);
    if (own >= 0) mine.splice(own, 1);
    return [{ level: 'same', word: text, chance: chanceOf(met, met, 'short', vocabulary), isGiven: given }];
  });
}

/** Names that are the same as they stand, weighed by the words of the one whose words the book has oftener. */
function byWords(a: ReadName, b: ReadName, vocabulary: Vocabulary): NameComparison {
  const rarity = ({ words }: ReadName) =>
    words.reduce((sum, { text }) => sum + Math.log(vocabulary.chanceOf('n', text)), 0);
  const { words } = rarity(a) > rarity(b) ? a : b;
  const matches = words.map((word): WordMatch => ({
    ...{ level: 'same', word: word.text, chance: chanceOf(word, word, 'same', vocabulary) },
    isGiven: isGiven(word, word, vocabulary),
  }));
  return { ...weighTogether(matches, vocabulary), conflict: 'none' };
}

/** Every two words that agree, those first that agree best. */
function agreements(
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
): [one: NameWord, other: NameWord, level: WordLevel][] {
  const scripts = [a.name.script, b.name.script] as const;
  const found: [NameWord, NameWord, WordLevel][] = [];
  for (const one of a.name.words)
    for (const other of b.name.words) {
      const level = likeness(one.text, other.text, scripts, vocabulary);
      if (level !== undefined) found.push([one, other, level]);
    }
  return found.length > 1 ? found.sort((x, y) => RANKS[x[2]] - RANKS[y[2]]) : found;
}

const RANKS: Readonly<Record<WordLevel, number>> = { same: 0, short: 1, close: 2, initial: 3 };

/** How words agree of which one card has more than the other, taken as one. */
function likeJoined(
  mine: readonly NameWord[],
  theirs: readonly NameWord[],
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
): WordLevel | undefined {
  if (mine.length === 0 || theirs.length === 0) return undefined;
  const [one, other] = [joined(mine), joined(theirs)];
  if (one === other) return 'same';
  if (Math.min(one.length, other.length) < 6) return undefined;
  return likeness(one, other, [a.name.script, b.name.script], vocabulary) === undefined ? undefined : 'close';
}

/** Of somebody without a name the mailbox may say it: ada.lowther@, alowther@. */
function byMailbox(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): NameComparison {
  const [bare, named] = a.name.words.length < b.name.words.length ? [a, b] : [b, a];
  if (named.name.words.length < 2) return NOTHING;
  for (const mail of [...bare.mails, bare.name.handle]) {
    const local = (mail.split('@')[0] ?? '').replace(/[^a-z]/g, '');
    const words = named.name.words.filter(({ text }) => text.length > 2 && local.includes(text));
    const rest = words.reduce((left, { text }) => left.replace(text, ''), local);
    const others = named.name.words.filter((word) => !words.includes(word));
    if (
      words.length >= 2 ||
      (words.length === 1 && rest.length === 1 && others.some(({ text }) => text.startsWith(rest)))
    )
      return {
        together: vocabulary.together(words.map(({ text }) => text)),
        matches: words.map((word) => ({
          level: 'same',
          word: word.text,
          chance: Math.min(0.3, 4 * vocabulary.chanceOf('n', word.text)),
          isGiven: isGiven(word, word, vocabulary),
        })),
        conflict: 'none',
      };
  }
  return NOTHING;
}
