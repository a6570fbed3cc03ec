import { z } from 'zod';

import { daysBetween, foldedWords, isSameJson, parseDayNumber } from '@/core/base';

import { keywordsOf, monthOf, type Talk, TALK_KINDS, type TalkKind } from './talk';

/** Days in which a talk's weight halves. */
export const HALF_LIFE_DAYS = 180;

/** The weight of a talk by kind, on its day. Our choice. */
export const KIND_WEIGHTS: Readonly<Record<TalkKind, number>> = {
  meeting: 5,
  call: 4,
  letter: 3,
  message: 2,
  mail: 1.5,
};

/** Days of talks that are kept, for what is usual between two people. */
const KEPT_DAYS = 13;

/**
 * The summary of all talks with somebody, so that the talks themselves need not be read. Adding a talk to it
 * is exact; removing one means recalculating it from the talks.
 */
export const summarySchema = z.object({
  count: z.number().int().min(0),
  kinds: z.partialRecord(z.enum(TALK_KINDS), z.number().int()),
  first: z.iso.date(),
  last: z.iso.date(),
  lastKind: z.enum(TALK_KINDS),
  /** The last day of each kind. */
  lastOf: z.partialRecord(z.enum(TALK_KINDS), z.iso.date()),
  /** The latest days with a talk, ascending. */
  days: z.array(z.iso.date()),
  /** Months with a talk, ascending: the shards to look in. */
  months: z.array(z.string()),
  /** How many of each kind there were in each year; none in a summary that was made before they were counted. */
  years: z
    .record(z.string().regex(/^\d{4}$/), z.partialRecord(z.enum(TALK_KINDS), z.number().int()))
    .exactOptional(),
  /** Weights of talks begun by the user and by the other, as they are on the day `last`. */
  out: z.number(),
  in: z.number(),
  /**
   * What is to be found of what was said: #keywords with their mark, and of talks noted by hand all words, folded.
   * Ascending. Those of imports are left out, as they would be far too many.
   */
  words: z.array(z.string()).exactOptional(),
});

/** The summary of all talks with somebody. */
export type TalkSummary = z.infer<typeof summarySchema>;

/** The summary with one more talk. */
export function withTalk(summary: TalkSummary | undefined, talk: Talk): TalkSummary {
  const weight = KIND_WEIGHTS[talk.kind];
  const own = {
    out: talk.direction === 'in' ? 0 : weight,
    in: talk.direction === 'out' ? 0 : weight,
  };
  const words = withWords(summary?.words, talk);
  if (!summary) {
    return {
      ...{ count: 1, kinds: { [talk.kind]: 1 }, first: talk.day, last: talk.day, lastKind: talk.kind },
      ...{ lastOf: { [talk.kind]: talk.day }, days: [talk.day], months: [monthOf(talk)], ...own, ...words },
      ...withYear({}, talk),
    };
  }
  const isLater = talk.day >= summary.last;
  const last = isLater ? talk.day : summary.last;
  const [before, now] = [decay(summary.last, last), decay(talk.day, last)];
  return {
    count: summary.count + 1,
    kinds: { ...summary.kinds, [talk.kind]: (summary.kinds[talk.kind] ?? 0) + 1 },
    first: talk.day < summary.first ? talk.day : summary.first,
    last,
    lastKind: isLater ? talk.kind : summary.lastKind,
    lastOf: { ...summary.lastOf, [talk.kind]: laterOf(summary.lastOf[talk.kind], talk.day) },
    days: withOne(summary.days, talk.day).slice(-KEPT_DAYS),
    months: withOne(summary.months, monthOf(talk)),
    ...(summary.years && withYear(summary.years, talk)),
    out: summary.out * before + own.out * now,
    in: summary.in * before + own.in * now,
    ...words,
  };
}

/** The summary of some talks; undefined for none. */
export function summarise(talks: readonly Talk[]): TalkSummary | undefined {
  let summary: TalkSummary | undefined;
  for (const talk of [...talks].sort((a, b) => (a.day < b.day ? -1 : Number(a.day > b.day))))
    summary = withTalk(summary, talk);
  return summary;
}

/** How much of a weight is left after the days between two dates. */
export function decay(from: string, to: string): number {
  return 2 ** (-daysBetween(from, to) / HALF_LIFE_DAYS);
}

/** Days usually between two talks: the median of the latest gaps; undefined with fewer than two of them. */
export function usualGap({ days }: Pick<TalkSummary, 'days'>): number | undefined {
  if (days.length < 3) return undefined;
  // Each day is read once: the gaps of everybody are worked out for Today.
  const numbers = days.map(parseDayNumber);
  const gaps: number[] = [];
  for (let i = 1; i < numbers.length; i += 1) gaps.push((numbers[i] ?? 0) - (numbers[i - 1] ?? 0));
  gaps.sort((a, b) => a - b);
  const middle = gaps.length / 2;
  return gaps.length % 2 === 1
    ? gaps[Math.floor(middle)]
    : ((gaps[middle - 1] ?? 0) + (gaps[middle] ?? 0)) / 2;
}

/** Letters of a word that is worth being found by. */
const MIN_LETTERS = 3;

function withWords(known: readonly string[] | undefined, talk: Talk): Pick<TalkSummary, 'words'> {
  const text = `${talk.about ?? ''} ${talk.said}`;
  if (text === ' ') return known ? { words: [...known] } : {};
  const marked = keywordsOf(text).map((word) => `#${word}`);
  const plain =
    talk.intake === undefined ? foldedWords(text).filter((word) => word.length >= MIN_LETTERS) : [];
  const words = new Set([...(known ?? []), ...marked, ...plain]);
  return words.size === 0 ? {} : { words: [...words].sort() };
}

/** Counts by year with one more talk. */
function withYear(years: NonNullable<TalkSummary['years']>, { day, kind }: Talk): Pick<TalkSummary, 'years'> {
  const counted = years[day.slice(0, 4)];
  return { years: { ...years, [day.slice(0, 4)]: { ...counted, [kind]: (counted?.[kind] ?? 0) + 1 } } };
}

function laterOf(before: string | undefined, day: string): string {
  return before !== undefined && before > day ? before : day;
}

/** A sorted list with one more, each once. */
function withOne(sorted: readonly string[], one: string): string[] {
  return sorted.includes(one) ? [...sorted] : [...sorted, one].sort();
}

/**
 * Whether two summaries say the same, as far as the order in which talks were added allows: of several talks on the last day
 * any may be the last, and weights differ by what adding them up loses.
 */
export function isSameSummary(a: TalkSummary | undefined, b: TalkSummary | undefined): boolean {
  if (!a || !b) return a === b;
  const { out: outA, in: inA, lastKind: _, ...restA } = a;
  const { out: outB, in: inB, lastKind: __, ...restB } = b;
  const isNear = (one: number, other: number) => Math.abs(one - other) <= 1e-6 * Math.max(1, one, other);
  return isNear(outA, outB) && isNear(inA, inB) && isSameJson(restA, restB);
}
