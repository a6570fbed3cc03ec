import { texts } from '@/texts/tidy/duplicates';

import { type Evidence, haveShared } from './evidence';
import type { DuplicateFacts } from './facts';

/** What being at one place, or not, weighs, in bits. */
export interface PlaceWeights {
  readonly street: number;
  readonly town: number;
  readonly otherTown: number;
  readonly otherWords: string;
}

/** The same address, the same town, or different ones; nothing where one says no place. */
export function placeEvidence(a: DuplicateFacts, b: DuplicateFacts, weights: PlaceWeights): Evidence[] {
  const say = (words: string, bits: number): Evidence[] => [{ kind: 'address', words, bits }];
  if (haveShared(a.streets, b.streets)) return say(texts.sameAddress, weights.street);
  if (a.towns.length === 0 || b.towns.length === 0) return [];
  return haveShared(a.towns, b.towns)
    ? say(texts.sameTown, weights.town)
    : say(weights.otherWords, weights.otherTown);
}
