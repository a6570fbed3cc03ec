import { cached } from '@/core/base';

import type { NameScript } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { jaroWinkler } from './jaroWinkler';
import { NICKNAMES } from './nicknames.data';
import { isOneSlipApart } from './slips';
import { soundOf } from './soundOf';

/** How two words of names agree. */
export type WordLevel = 'same' | 'short' | 'initial' | 'close';

/** Words at least this similar count as a typing error. Our choice, after common practice with Jaro–Winkler. */
const CLOSE = 0.92;
/** A lower bound where they sound the same. Our choice. */
const SOUNDS_CLOSE = 0.75;
/** A slip makes a word that hardly any card has. Our choice. */
const RARE = 3;

const SHORT_FORMS = new Map<string, Set<number>>();
const LINES = NICKNAMES.map((line) => line.split(' '));
LINES.forEach((names, at) => {
  for (const name of names) {
    const lines = SHORT_FORMS.get(name);
    if (lines) lines.add(at);
    else SHORT_FORMS.set(name, new Set([at]));
  }
});

/** The names that a word is, or is a short form of, by their lines in the table. */
export function shortFormLines(word: string): Iterable<number> {
  return SHORT_FORMS.get(word) ?? [];
}

/** Whether one name is a short form of the other, or both are of a third. */
export function isShortForm(a: string, b: string): boolean {
  const lines = SHORT_FORMS.get(a);
  if (!lines) return false;
  for (const at of SHORT_FORMS.get(b) ?? []) if (lines.has(at)) return true;
  return false;
}

/** How two different words agree; undefined where they don't. */
export function likeness(
  a: string,
  b: string,
  scripts: readonly [NameScript, NameScript],
  vocabulary: Vocabulary,
): WordLevel | undefined {
  if (a === b) return 'same';
  if (a.length === 1 || b.length === 1) return isInitialOf(a, b) ? 'initial' : undefined;
  if (isShortForm(a, b)) return 'short';
  // A misread word may be no slip of one sign: rn is read as m.
  if (asRead(a) === asRead(b)) return 'close';
  // Where one script writes no vowels, or is put into Latin letters in several ways, consonants have to do.
  if (
    scripts[0] !== scripts[1] &&
    !scripts.includes('han') &&
    skeleton(a) === skeleton(b) &&
    (skeleton(a).length > 1 || scripts.includes('abjad') || jaroWinkler(a, b) > 0.6)
  )
    return 'same';
  const isFromHan = scripts[0] !== scripts[1] && scripts.includes('han');
  // What stands in Chinese characters is put into Latin letters in one way, and sounds like much else.
  if (isFromHan) return isSlip(a, b, vocabulary) && isOneSlipApart(a, b) ? 'close' : undefined;
  return isClose(a, b, vocabulary) || isShortOfSlip(a, b, vocabulary) ? 'close' : undefined;
}

/** Signs that scanners take for each other, as one of them (common practice). */
const asRead = cached(50_000, (word: string) =>
  word
    .replace(/rn/g, 'm')
    .replace(/cl/g, 'd')
    .replace(/vv/g, 'w')
    .replace(/ii/g, 'u')
    .replace(/0/g, 'o')
    .replace(/1/g, 'l')
    .replace(/5/g, 's')
    .replace(/8/g, 'b'),
);

/** One of two words is rare enough to be a slip. */
function isSlip(a: string, b: string, vocabulary: Vocabulary): boolean {
  return Math.min(vocabulary.countOf('n', a), vocabulary.countOf('n', b)) <= RARE;
}

/** A short form of what a slip has been made of: Bob and Robeet. */
function isShortOfSlip(a: string, b: string, vocabulary: Vocabulary): boolean {
  const [mine, theirs] = [SHORT_FORMS.get(a), SHORT_FORMS.get(b)];
  const lines = mine ?? theirs;
  if (lines === undefined || (mine && theirs)) return false;
  const slip = mine ? b : a;
  if (slip.length < 4 || vocabulary.countOf('n', slip) > RARE) return false;
  for (const at of lines)
    if (LINES[at]?.some((name) => name.length > 3 && isOneSlipApart(name, slip)) === true) return true;
  return false;
}

/** The first letter of a name, or of one that it is short for: W. is Bill. */
export function isInitialOf(a: string, b: string): boolean {
  const [letter, name] = a.length === 1 ? [a, b] : [b, a];
  if (name.startsWith(letter)) return true;
  for (const at of shortFormLines(name)) if (INITIALS[at]?.includes(letter) === true) return true;
  return false;
}

/** The letters that the names of each line begin with. */
const INITIALS = LINES.map((names) => names.map((name) => name.charAt(0)).join(''));

function isClose(a: string, b: string, vocabulary: Vocabulary): boolean {
  if (a.length < 3 || b.length < 3 || Math.abs(a.length - b.length) > 3) return false;
  const mayBeOne = isSlip(a, b, vocabulary);
  if (mayBeOne && a.length > 3 && b.length > 3 && isOneSlipApart(a, b)) return true;
  // Measuring how alike they are takes longest, so only where it can matter.
  const sound = soundOf(a);
  const soundsSame = sound === soundOf(b);
  const mayBeSlip = mayBeOne && a[0] === b[0];
  if (!soundsSame && !mayBeSlip) return false;
  const alike = jaroWinkler(a, b);
  if (mayBeSlip && alike >= CLOSE) return true;
  return soundsSame && alike > (sound.length > 2 ? SOUNDS_CLOSE - 0.1 : SOUNDS_CLOSE) && !isOtherGender(a, b);
}

/** Two names for a man and a woman: they differ in the ending alone. */
function isOtherGender(a: string, b: string): boolean {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  return (
    (long.length === short.length + 1 && long === `${short}a`) ||
    (a.length === b.length && a.slice(0, -1) === b.slice(0, -1))
  );
}

/** Whether one could be a pet form of the other that no table has: it is a part of it, or begins as it does. */
export function mayBeShort(a: string, b: string): 'part' | 'begins' | undefined {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (short.length < 2 || short.length > 7) return undefined;
  if (short.length > 3 && long.includes(short)) return 'part';
  return short[0] === long[0] ? 'begins' : undefined;
}

/** What a name of Japan looks like in Latin letters: open syllables, and n. */
const ROMAJI =
  /^(?:(?:[kgsztdnhbpmyrwjf]|[kgnhbpmr]y|[sc]h|ts|(?=([kstpc])\1)[kstpc][kstpc]h?|t(?=ch)ch)?[aiueo](?:h(?![aiueo]))?|n(?![aiueo])|m(?=[bp]))+$/;

/** Whether a word in Latin letters may be one that stands in the characters of Japan elsewhere. */
export function mayBeJapanese(word: string): boolean {
  return word.length === 1 || ROMAJI.test(word);
}

/** The consonants that every way of writing a name from another script has. */
const skeleton = cached(50_000, makeSkeleton);

function makeSkeleton(word: string): string {
  return word
    .replace(/h$/, '')
    .replace(/(.)\1+/g, '$1')
    .replace(/zh/g, 'j')
    .replace(/[sc]h/g, 'c')
    .replace(/[aeiouyw]/g, '')
    .replace(/kh|[hgj]/g, 'g')
    .replace(/[qk]/g, 'k');
}
