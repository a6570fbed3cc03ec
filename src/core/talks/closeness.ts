import type { Uid } from '../card';
import { decay, type TalkSummary } from './summary';

/**
 * What talks with somebody weigh on a day: those of both sides, and the lesser side once more, since what goes both
 * ways counts more. Halves every 180 days.
 */
export function rawCloseness(summary: TalkSummary, today: string): number {
  const left = decay(summary.last, today);
  return (summary.out + summary.in + Math.min(summary.out, summary.in)) * left;
}

/** Closeness of everybody there were talks with, 0 to 100 by rank; whoever weighs the same stands the same. */
export function rankCloseness(
  summaries: Iterable<readonly [Uid, TalkSummary]>,
  today: string,
): ReadonlyMap<Uid, number> {
  const weighed = [...summaries]
    .map(([uid, summary]) => ({ uid, weight: rawCloseness(summary, today) }))
    .sort((a, b) => a.weight - b.weight);
  const ranks = new Map<Uid, number>();
  weighed.forEach(({ uid, weight }, at) => {
    const first = weighed[at - 1]?.weight === weight ? ranks.get(weighed[at - 1]?.uid ?? '') : undefined;
    ranks.set(uid, first ?? Math.round((100 * (at + 1)) / weighed.length));
  });
  return ranks;
}
