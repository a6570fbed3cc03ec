import type { NameWord } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import type { WordLevel } from './compareWords';
import type { NameComparison, WordMatch } from './nameComparison';

/** People of one name up to which they may all be one. Ours. */
const MANY = 3;

/** The words that agree, weighed by which come together. */
export function weighTogether(
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

/** Above 0 for a given name, below 0 for a surname: by its field, and by what the book has the word for. */
export function leaning({ text, role }: NameWord, vocabulary: Vocabulary): number {
  const own = role === 'open' ? 0 : role === 'given' ? 1.5 : -1.5;
  return own + Math.max(-4, Math.min(4, vocabulary.leaningOf(text)));
}

/** Whether two words that agree are a given name. */
export function isGiven(one: NameWord, other: NameWord, vocabulary: Vocabulary): boolean {
  return leaning(one, vocabulary) + leaning(other, vocabulary) > 0;
}

/** The chances that an initial, a short form and a slip agree by accident, beside that of the name itself. Ours. */
const [LETTER, SHORT_TIMES, CLOSE_TIMES] = [0.08, 4, 4];

/** The chance that two words agree by accident, 0 to 1. */
export function chanceOf(
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
