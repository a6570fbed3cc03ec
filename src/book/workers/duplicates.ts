import { expose } from 'comlink';

import type { Card } from '@/core/card';
import { type Cluster, duplicateFacts, groupDuplicates } from '@/core/duplicates';
import { type MergeChoices, mergeGroups } from '@/core/merging';

/** What the page may ask of the worker that finds duplicates. */
export interface DuplicatesApi {
  /** Takes cards on, some at a time, so that the page is never held up by a whole book at once. */
  put(cards: readonly Card[]): void;
  /** Finds twins among the cards that were taken on. @param onProgress - told how far it is, 0 to 1 */
  find(onProgress: (share01: number) => void): Cluster[];
  /** Makes one card of each group; the fullest keeps its uid. */
  merge(groups: readonly (readonly Card[])[], choices: MergeChoices): Card[];
}

const facts: ReturnType<typeof duplicateFacts>[] = [];

const api: DuplicatesApi = {
  put: (cards) => {
    for (const card of cards) facts.push(duplicateFacts(card));
  },
  find: (onProgress) =>
    groupDuplicates(facts, {
      onProgress: (share01) => {
        onProgress(share01);
        return true;
      },
    }),
  merge: mergeGroups,
};
expose(api);
