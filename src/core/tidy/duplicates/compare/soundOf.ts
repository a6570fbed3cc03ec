import { cached } from '@/core/base';

/** Spellings of one sound in European names, the longest first. Ours; common practice in each language. */
const SOUNDS: readonly (readonly [RegExp, string])[] = [
  [/tsch|tch|sch|sh|ch|cz|cs|sz|š|č/g, 'x'],
  [/ph|pf|v|w/g, 'f'],
  [/ck|qu|kh|gh|[cqg]/g, 'k'],
  [/ts|tz|zh|[zx]/g, 's'],
  [/th|dt|d/g, 't'],
  [/b/g, 'p'],
  [/j|y/g, 'i'],
  [/[nm](?=[^aeiou]|$)/g, 'n'],
];

/** Names recur, and encoding one is expensive. */
const MOST_KEPT = 100_000;

/**
 * How a name sounds, roughly: the consonants by groups, vowels only at the beginning. Two spellings of one name mostly
 * sound alike; two names that sound alike are mostly not the same, so it only brings cards together to be compared.
 *
 * @param word - folded, in Latin letters
 */
export const soundOf = cached(MOST_KEPT, workOut);

function workOut(word: string): string {
  let sound = word;
  for (const [spelling, letter] of SOUNDS) sound = sound.replace(spelling, letter);
  const first = sound.charAt(0);
  const rest = sound.slice(1).replace(/[aeiouh]/g, '');
  return `${/[aeiou]/.test(first) ? 'a' : first}${rest}`.replace(/(.)\1+/g, '$1');
}
