import { type Card, type LeapDayRule, nextAnniversary, toPartialDate, type Uid } from '../card';
import { addDays } from './dayCount';

/** A day on a card that comes round in the window. */
export interface UpcomingDay {
  readonly uid: Uid;
  /** As in RFC 9553 §2.8.1: birth, wedding, death, or another. */
  readonly kind: string;
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
export function findUpcoming(cards: readonly Card[], options: UpcomingOptions): UpcomingDay[] {
  const found = cards.flatMap((card) =>
    Object.values(card.anniversaries ?? {}).flatMap(({ kind, date }) =>
      roundsOf(toPartialDate(date), options).map((round) => ({ uid: card.uid, kind, ...round })),
    ),
  );
  return found.sort((a, b) => a.daysAway - b.daysAway || (a.uid < b.uid ? -1 : Number(a.uid > b.uid)));
}

function roundsOf(date: ReturnType<typeof toPartialDate>, { from, days, leapDay }: UpcomingOptions) {
  const rounds: Omit<UpcomingDay, 'uid' | 'kind'>[] = [];
  let today = from;
  let passed = 0;
  for (;;) {
    const next = nextAnniversary(date, today, leapDay);
    if (!next || passed + next.daysAway > days) return rounds;
    const daysAway = passed + next.daysAway;
    rounds.push({ date: next.day, years: date.year === undefined ? null : (next.years ?? 0), daysAway });
    // On with the day after.
    today = addDays(next.day, 1);
    passed = daysAway + 1;
  }
}
