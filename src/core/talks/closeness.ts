import { parseDayNumber, type Uid } from '../card';
import { HALF_LIFE_DAYS, type TalkSummary } from './summary';

/**
 * What talks with somebody weigh on a day: those of both sides, and the lesser side once more, since what goes both
 * ways counts more. Halves every 180 days.
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
  const weighed: { readonly uid: Uid; readonly weight: number }[] = [];
  for (const [uid, summary] of summaries) weighed.push({ uid, weight: weightAt(summary, day) });
  weighed.sort((a, b) => a.weight - b.weight);
  const ranks = new Map<Uid, number>();
  weighed.forEach(({ uid, weight }, at) => {
    const first = weighed[at - 1]?.weight === weight ? ranks.get(weighed[at - 1]?.uid ?? '') : undefined;
    ranks.set(uid, first ?? Math.round((100 * (at + 1)) / weighed.length));
  });
  return ranks;
}
