import type { DuplicateFacts } from '../facts/facts';
import type { NameScript, NameWord, ReadName } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { isShortForm, likeness, mayBeJapanese, mayBeShort, type WordLevel } from './compareWords';

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
  /** How much oftener the words that agree come together than if each could go with any. */
  readonly together: number;
  readonly conflict: Conflict;
}

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
    return { ...agreed(matches, vocabulary), conflict: 'none' };
  }
  const conflict = conflictOf(a, b, [leftMine, leftTheirs], matches, vocabulary);
  // Where given names differ, what they have in common is the surname, in whatever field it stands.
  const asSurnames =
    conflict === 'otherGiven'
      ? matches.map((match) => ({ ...match, isGiven: match.level === 'initial' }))
      : matches;
  return { ...agreed(asSurnames, vocabulary), conflict };
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

/** Of a name in Chinese characters what its mailbox says, where the other is in Latin letters. */
function inLatin(facts: DuplicateFacts, other: DuplicateFacts): DuplicateFacts {
  const { name } = facts;
  if ((name.script !== 'han' && name.script !== 'kana') || name.others.length < 2) return facts;
  if (other.name.script !== 'latin') return facts;
  return { ...facts, name: { ...name, words: name.others, others: [], script: 'latin' } };
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
  return { ...agreed(matches, vocabulary), conflict: 'none' };
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

/** A name in Chinese characters as one word: where it is written without a space, nobody says where its surname ends. */
function asWhole({ words }: ReadName): string {
  return joined([
    ...words.filter(({ role }) => role === 'surname'),
    ...words.filter(({ role }) => role !== 'surname'),
  ]);
}

/** Whether two names in Chinese characters are the same signs. */
function areSameSigns(a: ReadName, b: ReadName): boolean {
  return a.script === 'han' && b.script === 'han' && asWhole(a) === asWhole(b);
}

/** People of one name up to which they may all be one. Ours. */
const MANY = 3;

function agreed(
  matches: readonly WordMatch[],
  vocabulary: Vocabulary,
): Pick<NameComparison, 'matches' | 'together'> {
  const words = matches.flatMap(({ word, level }) => (level === 'initial' || word === '' ? [] : word));
  return {
    matches: sideBySide(matches, vocabulary),
    together: words.length > 1 ? vocabulary.together(words) : 1,
  };
}

/** Words that the book has side by side on many cards say less together than one by one: Juan Carlos, Maria García. */
function sideBySide(matches: readonly WordMatch[], vocabulary: Vocabulary): WordMatch[] {
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

/**
 * Names in Chinese characters are put into Latin letters as they sound in Chinese, which the names of Japan don't; so of what
 * looks like one of Japan they say nothing.
 */
function areComparable(a: ReadName, b: ReadName, matches: number): boolean {
  const isEastern = (script: NameScript) => script === 'han' || script === 'kana';
  if (a.script === b.script || isEastern(a.script) === isEastern(b.script)) return true;
  if (matches > 0 && a.script !== 'kana' && b.script !== 'kana') return true;
  const { script, words } = isEastern(a.script) ? b : a;
  return script === 'latin' && words.length > 1 && words.every(({ text }) => !mayBeJapanese(text));
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
