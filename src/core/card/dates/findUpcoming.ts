import { formatDayNumber, parseDayNumber, toPartialDate } from '@/core/base';

import type { Anniversary, Card, Uid } from '../schema/types';
import { type LeapDayRule, nextRound } from './nextAnniversary';

/** A day on a card that comes round in the window. */
export interface UpcomingDay {
  readonly uid: Uid;
  /** As in RFC 9553 §2.8.1: birth, wedding, death, or another. */
  readonly kind: string;
  /** Of the entry on the card. */
  readonly id: string;
  /** ISO 8601 calendar date on which it is kept. */
  readonly date: string;
  /** Years reached; null where the year isn't known, 0 for the day itself. */
  readonly years: number | null;
  readonly daysAway: number;
}

/** The window. */
export interface UpcomingOptions {
  /** ISO 8601 calendar date of day 0. */
  readonly from: string;
  /** The last day's number; 0 is the first day alone. */
  readonly days: number;
  readonly leapDay?: LeapDayRule;
}

/**
 * All days of some cards that come round from day 0 to day N, both included, nearest first; in a window of more than
 * a year a day may come round more than once.
 */
export function findUpcoming(
  cards: readonly Pick<Card, 'uid' | 'anniversaries'>[],
  options: UpcomingOptions,
): UpcomingDay[] {
  const { from, days, leapDay = 'february-28' } = options;
  const first = parseDayNumber(from);
  const found: UpcomingDay[] = [];
  const months = monthsOf(first, days);
  for (const { uid, anniversaries } of cards)
    for (const id in anniversaries) {
      const { kind, date } = anniversaries[id] as Anniversary;
      const partial = toPartialDate(date);
      // Most days are in other months, and calculating the next occurrence is the expensive step.
      if (partial.month === undefined || !months.has(partial.month)) continue;
      for (let now = first; ;) {
        const next = nextRound(partial, now, leapDay);
        if (!next || next.at - first > days) break;
        const years = partial.year === undefined ? null : next.year - partial.year;
        found.push({ uid, kind, id, date: formatDayNumber(next.at), years, daysAway: next.at - first });
        // On with the day after.
        now = next.at + 1;
      }
    }
  return found.sort((a, b) => a.daysAway - b.daysAway || (a.uid < b.uid ? -1 : Number(a.uid > b.uid)));
}

/** The months that a window touches, 1 to 12; with a part of March goes February, whose 29th may be kept there. */
function monthsOf(first: number, days: number): ReadonlySet<number> {
  const months = new Set<number>();
  for (let at = 0; at < Math.min(days, YEAR_DAYS); at += SHORTEST_MONTH)
    months.add(Number(formatDayNumber(first + at).slice(5, 7)));
  months.add(Number(formatDayNumber(first + Math.min(days, YEAR_DAYS)).slice(5, 7)));
  if (months.has(3)) months.add(2);
  return months;
}

const [YEAR_DAYS, SHORTEST_MONTH] = [366, 28];
