import { addMonths, daysBetween } from '@/core/base';

import { afterRhythm, type Rhythm } from './due';
import type { TalkSummary } from './summary';
import { type Talk, TALK_KINDS } from './talk';

/** How many talks a month held, by who began them. */
export interface MonthOfTalks {
  /** 2026-11. */
  readonly month: string;
  readonly out: number;
  readonly in: number;
  readonly both: number;
}

/** The talks of some months up to one, the earliest first; months without a talk are there as well. */
export function talksByMonth(talks: readonly Talk[], last: string, count: number): MonthOfTalks[] {
  const months = Array.from({ length: count }, (_, i) =>
    addMonths(`${last.slice(0, 7)}-01`, i - count + 1).slice(0, 7),
  );
  const counted = new Map(months.map((month) => [month, { month, out: 0, in: 0, both: 0 }]));
  for (const { day, direction } of talks) {
    const month = counted.get(day.slice(0, 7));
    if (month) month[direction] += 1;
  }
  return months.flatMap((month) => counted.get(month) ?? []);
}

/** How many talks of each kind a year held, in the order of the kinds. */
export interface YearOfTalks {
  /** 2026. */
  readonly year: string;
  readonly counts: readonly number[];
}

/** The talks of a summary from the first year to the last; years without a talk are there as well. */
export function talksByYear({
  first,
  last,
  years,
}: Pick<TalkSummary, 'first' | 'last' | 'years'>): YearOfTalks[] {
  if (!years) return [];
  const from = Number(first.slice(0, 4));
  return Array.from({ length: Number(last.slice(0, 4)) - from + 1 }, (_, i) => {
    const year = String(from + i);
    return { year, counts: TALK_KINDS.map((kind) => years[year]?.[kind] ?? 0) };
  });
}

/** How well a rhythm is kept. */
export interface RhythmBalance {
  /** Those whose next talk isn't overdue. */
  readonly kept: number;
  readonly late: number;
  /** Those there was never a talk with. */
  readonly never: number;
}

/** Weighs a list's rhythm against the last talks of those on it. */
export function balanceOf(
  rhythm: Rhythm,
  members: readonly (Pick<TalkSummary, 'last'> | undefined)[],
  today: string,
): RhythmBalance {
  let [kept, late, never] = [0, 0, 0];
  for (const summary of members) {
    if (!summary) never += 1;
    else if (daysBetween(today, afterRhythm(summary.last, rhythm)) >= 0) kept += 1;
    else late += 1;
  }
  return { kept, late, never };
}
