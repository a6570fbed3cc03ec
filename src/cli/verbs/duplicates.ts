import { duplicateFacts, type Grade, groupDuplicates } from '@/core/tidy';

import { readArgs, readCountry } from '../input/readArgs';
import { readCardFile } from '../input/readCardFile';

/** Cards that are taken to be the same, as the tool prints them. */
export interface DuplicatesFound {
  readonly clusters: readonly {
    readonly uids: readonly string[];
    /** 0 to 1. */
    readonly score: number;
    readonly grade: Grade;
    readonly reasons: readonly string[];
  }[];
}

/** `duplicates IN [--country GB]`: the cards of a file that are the same person or organisation, the surest first. */
export function duplicates(args: readonly string[]): DuplicatesFound {
  const { words, options } = readArgs(args, {
    usage: 'duplicates IN [--country GB]',
    words: 1,
    options: ['country'],
  });
  const country = readCountry(options.country);
  const { cards } = readCardFile(words[0]);
  const facts = cards.filter(({ kind }) => kind !== 'group').map((card) => duplicateFacts(card, country));
  return {
    clusters: groupDuplicates(facts).map(({ uids, probability, grade, evidence }) => ({
      ...{ uids, grade },
      score: Number(probability.toFixed(4)),
      reasons: evidence.map(({ words: said }) => said),
    })),
  };
}
