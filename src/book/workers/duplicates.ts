import { expose } from 'comlink';

import type { Card } from '@/core/card';
import {
  type Cluster,
  duplicateFacts,
  type Fault,
  FaultFinder,
  type FaultOptions,
  groupDuplicates,
  type MergeChoices,
  mergeGroups,
} from '@/core/tidy';

import { type InspectorApi, makeInspector } from './makeInspector';

/** What the page may ask of the worker that finds duplicates. */
export interface DuplicatesApi extends InspectorApi {
  /** Takes cards in batches, so that the page is never blocked by a whole book. */
  put(cards: readonly Card[], options: FaultOptions): void;
  /** What is wrong with the cards that were taken on. */
  faults(): Fault[];
  /** Finds duplicates among the cards that were handed over. @param onProgress - called with the progress, 0 to 1 */
  find(onProgress: (share01: number) => void): Cluster[];
  /** Makes one card of each group; the fullest keeps its uid. */
  merge(groups: readonly (readonly Card[])[], choices: MergeChoices): Card[];
}

const facts: ReturnType<typeof duplicateFacts>[] = [];
const faults: Fault[] = [];
let finder: FaultFinder | undefined;

const api: DuplicatesApi = {
  ...makeInspector(),
  put: (cards, options) => {
    finder ??= new FaultFinder(options);
    for (const card of cards) {
      facts.push(duplicateFacts(card));
      faults.push(...finder.add(card));
    }
  },
  faults: () => [...faults, ...(finder?.across() ?? [])],
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
