import type { Uid } from '@/core/card';

import type { Grade } from './grade';
import type { Evidence } from './model/evidence';

/** Cards that are taken to be the same. */
export interface Cluster {
  readonly uids: readonly Uid[];
  /** 0 to 1: that all of them are the same. */
  readonly probability: number;
  readonly grade: Grade;
  /** Of the weakest link, the weightiest first. */
  readonly evidence: readonly Evidence[];
}

/** Below this, two cards count as two people. */
export const LEAST = 0.5;
