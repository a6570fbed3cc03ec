import { SALUTATION } from './mailWords';
import { isKoreanName, nameScore } from './nameScore';
import type { TextLine } from './textLines';
import { DEPARTMENT, HOUSE, LEGAL_FORM, POST } from './whoWords';

/** Lines of a signature at most. */
const MOST_LINES = 9;
/** Words of a closing at most. */
const MOST_WORDS = 6;
/** From here on a text is like a name; and of somebody whose given name is known, or whose Chinese surname is. */
const [LIKE, KNOWN, KNOWN_HAN] = [2, 4, 6];

/**
 * The line that closes a letter in words that no list has, in any language: a short one that is no value, right above one that is like a
 * name. With a sign at its end ("Ha det gott!") any name will do, without one ("Terkuin") only a known one.
 *
 * @returns its place among the lines; −1 where there is none
 */
export function closingByShape(lines: readonly TextLine[]): number {
  return lines.findLastIndex((line, i) => {
    const next = lines[i + 1];
    if (!next || lines.length - i > MOST_LINES || next.index > line.index + 2) return false;
    // Without a sign at its end it may be what somebody does, unless nobody has been named above it.
    const isBelowText = i === 0 || /[.!?,…。！？]$/.test(lines[i - 1]?.text ?? '');
    if (!isBelowText && !/[,!.…，！。]$/.test(line.text)) return false;
    const least = leastScore(line.text);
    return least !== undefined && isName(next.text) && nameScore(next.text, []) >= least;
  });
}

/** How much the line below must be like a name; undefined where this one can't be a closing. */
function leastScore(text: string): number | undefined {
  const words = text.split(/\s+/);
  if (words.length > MOST_WORDS || text.length > 60 || /[\d@|•·:：/«»„“”"]/.test(text)) return undefined;
  if (HOUSE.test(text) || LEGAL_FORM.test(text)) return undefined;
  if (SALUTATION.test(text) || isKoreanName(text)) return undefined;
  const isUncased = !/\p{Lu}|\p{Ll}/u.test(text);
  // "Belle journée à vous": small words behind the first, as names and houses don't have them.
  const isSmall = isUncased || words.slice(1).every((word) => /^\P{Lu}/u.test(word));
  if (/[,!，！]$/.test(text)) return LIKE;
  if (isValue(text)) return undefined;
  if (/[.…。]$/.test(text) && isSmall) return LIKE;
  if (!isSmall || nameScore(text, []) >= KNOWN_HAN) return undefined;
  if (words.length > 2) return LIKE;
  return /\p{Script=Han}/u.test(text) ? KNOWN_HAN : KNOWN;
}

function isValue(text: string): boolean {
  return [HOUSE, POST, LEGAL_FORM, DEPARTMENT].some((words) => words.test(text));
}

function isName(text: string): boolean {
  const words = text.split(/\s+/);
  const isPlain = words.length <= 4 && !/[\d@|•·:：,]/.test(text) && !isValue(text);
  return isPlain && (words.length > 1 || isKoreanName(text) || /^\p{Script=Han}{2,4}$/u.test(text));
}
