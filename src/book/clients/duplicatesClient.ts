import { proxy, type Remote } from 'comlink';

import type { DuplicatesApi } from '@/book/workers';
import { inBatches } from '@/core/base';
import type { Card } from '@/core/card';
import type { Cluster, Fault, FaultOptions, MergeChoices } from '@/core/tidy';

import { type Job, runJob } from './runJob';

/** Cards handed over per batch. */
const PIECE = 1000;

/** What a look through the whole book finds. */
export interface DuplicatesReport {
  readonly clusters: readonly Cluster[];
  readonly faults: readonly Fault[];
}

/**
 * Finds the cards that are the same and what is wrong with cards, in a worker. @param onProgress - called with the
 * progress, 0 to 1
 */
export function findDuplicatesInWorker(
  cards: readonly Card[],
  options: FaultOptions,
  onProgress: (share01: number) => void,
): Job<DuplicatesReport> {
  return run(async (api) => {
    for (const piece of inBatches(cards, PIECE)) await api.put(piece, options);
    return { clusters: await api.find(proxy(onProgress)), faults: await api.faults() };
  });
}

/**
 * Makes one card of each group, in a worker, which has the numbering plans and the scripts; the fullest keeps its
 * uid.
 */
export function mergeInWorker(groups: readonly (readonly Card[])[], choices: MergeChoices): Promise<Card[]> {
  return run((api) => api.merge(groups, choices)).result;
}

/** Metro bundles a worker only where it is started as it stands here. */
function run<T>(work: (api: Remote<DuplicatesApi>) => Promise<T>): Job<T> {
  return runJob<DuplicatesApi, T>(() => new Worker(new URL('../workers/duplicates', import.meta.url)), work);
}
