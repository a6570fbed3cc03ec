import { parseDayNumber } from '@/core/base';
import type { Uid } from '@/core/card';

import { HALF_LIFE_DAYS, type TalkSummary } from './summary';

/**
 * The weight of talks with somebody on a day: both sides, plus the smaller side again, since exchanges both ways
 * count more. Halves every 180 days.
 */
export function rawCloseness(summary: TalkSummary, today: string): number {
  return weightAt(summary, parseDayNumber(today));
}

/** @param today - the number of the day, as everybody is weighed on the same one */
function weightAt({ last, out, in: came }: TalkSummary, today: number): number {
  const left = 2 ** ((parseDayNumber(last) - today) / HALF_LIFE_DAYS);
  return (out + came + Math.min(out, came)) * left;
}

/** Closeness of everybody there were talks with, 0 to 100 by rank; whoever weighs the same stands the same. */
export function rankCloseness(
  summaries: Iterable<readonly [Uid, TalkSummary]>,
  today: string,
): ReadonlyMap<Uid, number> {
  const day = parseDayNumber(today);
  const uids: Uid[] = [];
  const weights: number[] = [];
  for (const [uid, summary] of summaries) {
    uids.push(uid);
    weights.push(weightAt(summary, day));
  }
  // Plain numbers sort several times as fast as objects with uids.
  const sorted = Float64Array.from(weights).sort();
  const ranks = new Map<Uid, number>();
  uids.forEach((uid, i) => {
    ranks.set(uid, Math.round((100 * (firstAt(sorted, weights[i] ?? 0) + 1)) / uids.length));
  });
  return ranks;
}

/** The first position of a number in a sorted array. */
function firstAt(sorted: Float64Array, wanted: number): number {
  let [from, to] = [0, sorted.length];
  while (from < to) {
    const middle = (from + to) >> 1;
    if ((sorted[middle] ?? 0) < wanted) from = middle + 1;
    else to = middle;
  }
  return from;
}
