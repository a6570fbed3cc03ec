import { foldedWords, foldText } from './foldText';

/** A piece of a text, and whether it matches the query. */
export interface HighlightedPart {
  readonly text: string;
  readonly isMarked: boolean;
}

/**
 * The text in pieces, those marked that begin like a word of the query (as search folds them), any digits of a number
 * among them. Joined, the pieces are the text.
 */
export function highlightMatches(text: string, query: string): HighlightedPart[] {
  const words = foldedWords(query);
  if (words.length === 0 || text === '') return [{ text, isMarked: false }];
  const { folded, from } = foldWithPlaces(text);
  const isMarked = new Array<boolean>(text.length).fill(false);
  for (const word of words) {
    for (let at = folded.indexOf(word); at !== -1; at = folded.indexOf(word, at + 1)) {
      if (!isStart(folded, at, word)) continue;
      for (let i = at; i < at + word.length; i += 1) isMarked[from[i] ?? 0] = true;
    }
  }
  return runsOf(text, isMarked);
}

/** Words are found at their beginnings, digits and unspaced scripts anywhere. */
function isStart(folded: string, at: number, word: string): boolean {
  if (/^\d/.test(word) || /[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Thai}]/u.test(word))
    return true;
  return at === 0 || !/[\p{L}\p{N}]/u.test(folded.charAt(at - 1));
}

/** The folded text, and for each of its characters the place of the one it came from. */
function foldWithPlaces(text: string): { folded: string; from: number[] } {
  let folded = '';
  const from: number[] = [];
  let at = 0;
  for (const letter of text) {
    const some = foldText(letter);
    folded += some;
    for (let i = 0; i < some.length; i += 1) from.push(at);
    at += letter.length;
  }
  return { folded, from };
}

function runsOf(text: string, marks: readonly boolean[]): HighlightedPart[] {
  const parts: HighlightedPart[] = [];
  let at = 0;
  for (const letter of text) {
    // A mark that is written apart belongs to the letter before it.
    const isMarked = /^\p{M}$/u.test(letter) ? (parts.at(-1)?.isMarked ?? false) : marks[at] === true;
    const last = parts.at(-1);
    if (last?.isMarked === isMarked) parts[parts.length - 1] = { text: last.text + letter, isMarked };
    else parts.push({ text: letter, isMarked });
    at += letter.length;
  }
  return parts;
}
