import type { DuplicateFacts } from '../facts/facts';
import type { NameScript, NameWord } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { isShortForm, likeness, mayBeShort, type WordLevel } from './compareWords';

/** What of two names does not agree. */
export type Conflict =
  | 'missing'
  | 'none'
  | 'extra'
  | 'otherSurname'
  | 'otherSecondSurname'
  | 'otherSecondGiven'
  | 'likeGiven'
  | 'otherGiven'
  | 'other'
  | 'scripts';

/** Two words that agree. */
export interface WordMatch {
  readonly level: WordLevel;
  readonly word: string;
  /** The chance that somebody else's name agrees like this, 0 to 1. */
  readonly chance: number;
  readonly isGiven: boolean;
}

/** How two names agree, whatever fields their words stand in. */
export interface NameComparison {
  readonly matches: readonly WordMatch[];
  readonly conflict: Conflict;
}

const NOTHING: NameComparison = { matches: [], conflict: 'missing' };

/** Compares the words of two names, each with the one of the other that agrees best. */
export function compareNames(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): NameComparison {
  const [mine, theirs] = [a.name.words, b.name.words];
  if (mine.length < 2 || theirs.length < 2) {
    const found = byMailbox(a, b, vocabulary);
    if (found.matches.length > 1 || mine.length === 0 || theirs.length === 0) return found;
  }
  const matches: WordMatch[] = [];
  const taken = [new Set<NameWord>(), new Set<NameWord>()] as const;
  for (const [one, other, level] of agreements(a, b, vocabulary)) {
    if (taken[0].has(one) || taken[1].has(other)) continue;
    taken[0].add(one);
    taken[1].add(other);
    matches.push({
      ...{ level, word: one.text, chance: chanceOf(one, other, level, vocabulary) },
      isGiven: isGiven(one, other, vocabulary),
    });
  }
  const leftMine = mine.filter((word) => !taken[0].has(word));
  const leftTheirs = theirs.filter((word) => !taken[1].has(word));
  // Written apart or in one word: Ji Young, Jiyoung.
  if (
    leftMine.length !== leftTheirs.length &&
    leftMine.length > 0 &&
    joined(leftMine) === joined(leftTheirs)
  ) {
    matches.push({
      level: 'same',
      word: '',
      chance: chanceOf(leftMine[0], leftTheirs[0], 'same', vocabulary),
      isGiven: true,
    });
    return { matches: together(matches, vocabulary), conflict: 'none' };
  }
  return {
    matches: together(matches, vocabulary),
    conflict: conflictOf(a, b, [leftMine, leftTheirs], matches, vocabulary),
  };
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

const joined = (words: readonly NameWord[]) => words.map(({ text }) => text).join('');

/** Cards of one name up to which they may all be one person's. Ours. */
const MANY = 7;

/** Words that the book has side by side on many cards say less together than one by one: Juan Carlos, Maria García. */
function together(matches: readonly WordMatch[], vocabulary: Vocabulary): WordMatch[] {
  return matches.map((match, i) => {
    if (match.level !== 'same') return match;
    if (vocabulary.countOf('n', match.word) <= MANY) return match;
    let { chance } = match;
    for (const { word } of matches.slice(0, i)) {
      const both = vocabulary.countOfBoth(word, match.word);
      if (both > MANY) chance = Math.max(chance, (both - MANY / 2) / vocabulary.countOf('n', word));
    }
    return { ...match, chance };
  });
}

function conflictOf(
  a: DuplicateFacts,
  b: DuplicateFacts,
  [mine, theirs]: readonly [readonly NameWord[], readonly NameWord[]],
  matches: readonly WordMatch[],
  vocabulary: Vocabulary,
): Conflict {
  if (mine.length === 0 && theirs.length === 0) return 'none';
  if (mine.length === 0 || theirs.length === 0) return 'extra';
  if (!areComparable(a.name.script, b.name.script, matches.length)) return 'scripts';
  if (goesBy(mine, b.nicknames) || goesBy(theirs, a.nicknames)) return 'none';
  if (matches.length === 0) return 'other';
  const hasGiven = matches.some(({ isGiven: given, level }) => given && level !== 'initial');
  const hasSurname = matches.some(({ isGiven: given }) => !given);
  if (hasGiven && hasSurname) return secondConflict(mine, theirs, vocabulary);
  if (hasGiven) return 'otherSurname';
  return mine.some((one) => theirs.some((other) => mayBeShort(one.text, other.text)))
    ? 'likeGiven'
    : 'otherGiven';
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

/** Names in Chinese characters are put into Latin letters as they sound in Chinese, which the names of Japan don't. */
function areComparable(a: NameScript, b: NameScript, matches: number): boolean {
  if (a === b || ![a, b].some((one) => one === 'han' || one === 'kana')) return true;
  return matches > 0 && a !== 'kana' && b !== 'kana';
}

function goesBy(words: readonly NameWord[], nicknames: readonly string[]): boolean {
  return words.some(({ text }) => nicknames.some((nick) => nick === text || isShortForm(nick, text)));
}

/** Above 0 for a given name, below 0 for a surname: by its field, and by what the book has the word for. */
function leaning({ text, role }: NameWord, vocabulary: Vocabulary): number {
  const own = role === 'open' ? 0 : role === 'given' ? 1.5 : -1.5;
  return own + Math.max(-4, Math.min(4, vocabulary.leaningOf(text)));
}

function isGiven(one: NameWord, other: NameWord, vocabulary: Vocabulary): boolean {
  return leaning(one, vocabulary) + leaning(other, vocabulary) > 0;
}

/** The chances that an initial, a short form and a slip agree by accident, beside that of the name itself. Ours. */
const [LETTER, SHORT_TIMES, CLOSE_TIMES] = [0.08, 4, 4];

function chanceOf(
  one: NameWord | undefined,
  other: NameWord | undefined,
  level: WordLevel,
  vocabulary: Vocabulary,
): number {
  if (!one || !other) return 1;
  if (level === 'initial') return LETTER;
  const chance = Math.max(vocabulary.chanceOf('n', one.text), vocabulary.chanceOf('n', other.text));
  const times = level === 'short' ? SHORT_TIMES : level === 'close' ? CLOSE_TIMES : 1;
  return Math.min(0.3, chance * times);
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
