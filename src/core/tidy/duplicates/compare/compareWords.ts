import { cached } from '@/core/base';

import type { NameScript } from '../facts/nameWords';
import type { Vocabulary } from '../facts/vocabulary';
import { jaroWinkler } from './jaroWinkler';
import { NICKNAMES } from './nicknames.data';
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
NICKNAMES.forEach((line, at) => {
  for (const name of line.split(' ')) {
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
  // Where one script writes no vowels, or is put into Latin letters in several ways, consonants have to do.
  if (
    scripts[0] !== scripts[1] &&
    !scripts.includes('han') &&
    skeleton(a) === skeleton(b) &&
    (skeleton(a).length > 1 || jaroWinkler(a, b) > 0.6)
  )
    return 'same';
  return isClose(a, b, vocabulary) ? 'close' : undefined;
}

/** The first letter of a name, or of one that it is short for: W. is Bill. */
function isInitialOf(a: string, b: string): boolean {
  const [letter, name] = a.length === 1 ? [a, b] : [b, a];
  if (name.startsWith(letter)) return true;
  for (const at of shortFormLines(name)) if (NICKNAMES[at]?.startsWith(letter) === true) return true;
  return false;
}

function isClose(a: string, b: string, vocabulary: Vocabulary): boolean {
  if (a.length < 3 || b.length < 3 || Math.abs(a.length - b.length) > 3) return false;
  const isSlip = Math.min(vocabulary.countOf('n', a), vocabulary.countOf('n', b)) <= RARE;
  if (isSlip && a.length > 3 && b.length > 3 && isOneSlipApart(a, b)) return true;
  // Measuring how alike they are takes longest, so only where it can matter.
  const sound = soundOf(a);
  const soundsSame = sound === soundOf(b);
  const mayBeSlip = isSlip && a[0] === b[0];
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

/** Whether one sign left out, put in, swapped with its neighbour or another one makes one word of the other. */
export function isOneSlipApart(a: string, b: string): boolean {
  if (Math.abs(a.length - b.length) > 1) return false;
  let head = 0;
  while (head < a.length && head < b.length && a[head] === b[head]) head += 1;
  let tail = 0;
  while (tail < a.length - head && tail < b.length - head && a.at(-1 - tail) === b.at(-1 - tail)) tail += 1;
  const [left, right] = [a.slice(head, a.length - tail), b.slice(head, b.length - tail)];
  if (left.length <= 1 && right.length <= 1) return true;
  return left.length === 2 && right.length === 2 && left[0] === right[1] && left[1] === right[0];
}

/** Whether one could be a pet form of the other that no table has: it begins as the other does, or ends so. */
export function mayBeShort(a: string, b: string): boolean {
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if (short.length < 2 || short.length > 7) return false;
  if (short[0] === long[0]) return true;
  return short.length > 3 && long.endsWith(short);
}

/** The consonants that every way of writing a name from another script has. */
const skeleton = cached(50_000, makeSkeleton);

function makeSkeleton(word: string): string {
  return word
    .replace(/h$/, '')
    .replace(/ou|oo|ee|[aeiouyw]/g, '')
    .replace(/sh/g, 'c')
    .replace(/kh|[hgj]/g, 'g')
    .replace(/[qk]/g, 'k')
    .replace(/(.)\1+/g, '$1');
}
