import type { PairComparison } from './comparePair';
import type { Evidence } from './evidence';
import type { Logs } from './model';

/** How likely two cards are the same, and by what that is told. */
export interface Judgement {
  /** 0 to 1. */
  readonly probability: number;
  /** Of people. */
  readonly comparison?: PairComparison;
  readonly chances?: Logs;
  /** Of organisations, where it is worked out at once. */
  readonly evidence?: readonly Evidence[];
}
