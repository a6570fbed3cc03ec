import { duplicateFacts, groupDuplicates } from '@/core/tidy';

import { readCardFile } from '../input/readCardFile';

/** Cards that are taken to be the same, as the tool prints them. */
export interface DuplicatesFound {
  readonly clusters: readonly {
    readonly uids: readonly string[];
    /** 0 to 1. */
    readonly score: number;
    readonly reasons: readonly string[];
  }[];
}

/** `duplicates IN`: the cards of a file that are the same person or organisation, the surest first. */
export function duplicates([input]: readonly string[]): DuplicatesFound {
  const { cards } = readCardFile(input);
  const facts = cards.filter(({ kind }) => kind !== 'group').map((card) => duplicateFacts(card));
  return {
    clusters: groupDuplicates(facts).map(({ uids, probability, evidence }) => ({
      uids,
      score: Number(probability.toFixed(4)),
      reasons: evidence.map(({ words }) => words),
    })),
  };
}
