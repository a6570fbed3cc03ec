import type { Frequencies } from './frequencies';
import { jaroWinkler } from './jaroWinkler';
import { NICKNAMES } from './nicknames.data';
import { soundOf } from './soundOf';

/** How two lists of name words agree. */
export type NameAgreement = 'same' | 'short' | 'initial' | 'close' | 'part' | 'differs' | 'missing';

/** Words at least this similar count as a typing error. Our choice, after common practice with Jaro–Winkler. */
const CLOSE = 0.9;
/** A lower bound where they sound the same. Our choice. */
const SOUNDS_CLOSE = 0.75;

/** The share of an equal name's weight that each agreement has. Our choice. */
export const NAME_SHARES: Readonly<Record<NameAgreement, number>> = {
  same: 1,
  short: 0.7,
  initial: 0.25,
  close: 0.6,
  part: 0.5,
  differs: 0,
  missing: 0,
};

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

/** Compares given names, or surnames, word by word; the first words of both count most. */
export function compareWords(a: readonly string[], b: readonly string[]): NameAgreement {
  const [first = '', other = ''] = [a[0], b[0]];
  if (first === '' || other === '') return 'missing';
  if (a.length === 1 && b.length === 1) {
    if (first === other) return 'same';
  } else if ([...a].sort().join(' ') === [...b].sort().join(' ') || a.join('') === b.join('')) return 'same';
  if (first === other) return 'part';
  if (isShortForm(first, other)) return 'short';
  if (isInitial(first, other) || isInitial(other, first)) return 'initial';
  // One has both surnames, or a second given name that the other goes by.
  if (a.some((word) => word.length > 2 && b.includes(word))) return 'part';
  if (isClose(first, other)) return 'close';
  return 'differs';
}

function isInitial(short: string, long: string): boolean {
  return short.length === 1 && long.startsWith(short);
}

function isClose(a: string, b: string): boolean {
  if (a.length < 3 || b.length < 3 || a[0] !== b[0]) return false;
  const alike = jaroWinkler(a, b);
  return alike >= CLOSE || (alike > SOUNDS_CLOSE && soundOf(a) === soundOf(b));
}

/** The weight of the rarest word that both have, or nearly have. */
export function wordWeight(
  words: readonly string[],
  others: readonly string[],
  kind: 's' | 'g',
  frequencies: Frequencies,
): number {
  const shared = words.filter((word) => others.includes(word));
  const counted = shared.length > 0 ? shared : words.slice(0, 1);
  return Math.max(...counted.map((word) => frequencies.weightOf(kind, word, kind === 's' ? 0.9 : 0.8)));
}
