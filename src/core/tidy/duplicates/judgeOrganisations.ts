import { texts } from '@/texts/tidy/duplicates';

import { clamp, type Evidence } from './evidence';
import type { DuplicateFacts } from './facts';
import type { Frequencies } from './frequencies';
import { jaroWinkler } from './jaroWinkler';
import { placeEvidence, type PlaceWeights } from './placeEvidence';
import { reachEvidence } from './reachEvidence';

/** Names of organisations at least this alike are taken for a slip. Ours. */
const CLOSE = 0.94;

/** What being at one place weighs between organisations: in two towns they may be branches. Ours. */
const HOUSE_PLACES: PlaceWeights = {
  ...{ street: 4, town: 1.5, otherTown: -4 },
  otherWords: texts.differentTownsBranches,
};

/** Weighs two organisations: the words of their names by how rare they are, how they are reached, where they are. */
export function judgeOrganisations(
  a: DuplicateFacts,
  b: DuplicateFacts,
  frequencies: Frequencies,
): Evidence[] {
  return [
    ...houseName(a, b, frequencies),
    ...reachEvidence(a, b, frequencies),
    ...placeEvidence(a, b, HOUSE_PLACES),
  ];
}

function houseName(
  { house: a }: DuplicateFacts,
  { house: b }: DuplicateFacts,
  frequencies: Frequencies,
): Evidence[] {
  const say = (words: string, bits: number): Evidence[] => [{ kind: 'name', words, bits }];
  if (a.length === 0 || b.length === 0) return [];
  const bitsOf = (word: string) => Math.max(0, frequencies.weightOf('h', word, 0.9)) / 1.3;
  const weigh = (words: readonly string[]) =>
    clamp(
      words.reduce((sum, word) => sum + bitsOf(word), 0),
      2,
      16,
    );
  if (a.join('') === b.join('')) return say(texts.sameName, weigh(a));
  const [short, long] = a.length <= b.length ? [a, b] : [b, a];
  if ([...a].sort().join(' ') === [...b].sort().join(' ')) return say(texts.sameWordsInName, weigh(a));
  if (jaroWinkler(a.join(' '), b.join(' ')) >= CLOSE) return say(texts.namesNearlySame, 0.6 * weigh(a));
  if (short.length > 1 && short.every((word) => long.includes(word)))
    return say(texts.oneNameWithinOther, 0.5 * weigh(short));
  return say(texts.differentNames, -8);
}
