import { DOUBLE_HAN_SURNAMES, DOUBLE_HANGUL_SURNAMES } from './nameWords';

const EAST_ASIAN = /^[\p{Script=Han}\p{Script=Hiragana}\p{Script=Katakana}\p{Script=Hangul}々ー・\s]+$/u;
const ONLY_HAN = /^[\p{Script=Han}々]+$/u;
const ONLY_HANGUL = /^\p{Script=Hangul}+$/u;

/** Whether a name in this script begins with the surname (Chinese, Japanese, Korean; common practice). */
export function isFamilyFirstScript(text: string): boolean {
  // A katakana name with a middle dot is a foreign one and keeps its own order.
  return EAST_ASIAN.test(text) && !text.includes('・');
}

/**
 * Splits a name written without spaces into surname and given name. Common practice: Korean and Chinese surnames
 * have one character unless listed; four Han characters are a Japanese name of two and two.
 *
 * @returns undefined where the writing gives no hint (kana, other scripts, more than four characters)
 */
export function splitUnspacedName(text: string): { surname: string; given: string } | undefined {
  const chars = [...text];
  if (chars.length < 2 || chars.length > 4) return undefined;
  const isHan = ONLY_HAN.test(text);
  if (!isHan && !ONLY_HANGUL.test(text)) return undefined;
  const firstTwo = chars.slice(0, 2).join('');
  const isDouble = DOUBLE_HAN_SURNAMES.has(firstTwo) || DOUBLE_HANGUL_SURNAMES.has(firstTwo);
  const size = chars.length > 2 && (isDouble || (isHan && chars.length === 4)) ? 2 : 1;
  return { surname: chars.slice(0, size).join(''), given: chars.slice(size).join('') };
}
