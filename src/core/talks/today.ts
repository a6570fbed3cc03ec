import type { Card, LeapDayRule, Uid } from '../card';
import { findUpcoming, type UpcomingDay } from '../days';
import { addDays, daysBetween } from '../days';
import { hasFlag } from '../marks';
import { type Due, dueOf, type Rhythm, rhythmFor } from './due';
import { type TalkSummary, usualGap } from './summary';

/** A card and what is known of talks with it. */
export interface TodayCard {
  readonly card: Card;
  readonly summary: TalkSummary | undefined;
  /** 0 to 100. */
  readonly closeness: number;
  /** Rhythms of the lists it is on. */
  readonly rhythms: readonly Rhythm[];
}

/** Why somebody stands on Today. */
export type Occasion = 'birth' | 'wedding' | 'due' | 'quiet';

/** Somebody whom one has not heard from for unusually long. */
export interface Quiet {
  readonly uid: Uid;
  /** Days since the last talk. */
  readonly days: number;
  /** Days that are usual between the two. */
  readonly usual: number;
}

/** What a day asks for. */
export interface TodayPlan {
  readonly greetings: readonly UpcomingDay[];
  /** Due today, the ones set by hand first. */
  readonly due: readonly DueCard[];
  /** Due before today, the longest first. */
  readonly late: readonly DueCard[];
  readonly quiet: readonly Quiet[];
  /** Days that come round in the coming weeks, today's not among them. */
  readonly coming: readonly UpcomingDay[];
  /** Talks that fall due in the coming weeks. */
  readonly comingDue: readonly DueCard[];
}

/** A card with its due day. */
export interface DueCard extends Due {
  readonly uid: Uid;
}

/** What the day is planned by. */
export interface TodayOptions {
  /** ISO 8601 calendar date where the user is. */
  readonly today: string;
  readonly leapDay: LeapDayRule;
  /** Gone quiet: how many at most. */
  readonly quietCount: number;
  /** Days after today that are looked at. */
  readonly ahead: number;
}

/** Silence is unusual from this many times the usual gap on, and never before so many days. Ours. */
const UNUSUAL = 2;
const QUIET_DAYS = 30;

/** Plans a day. Archived cards, lists and the dead ask for nothing. */
export function planToday(cards: readonly TodayCard[], options: TodayOptions): TodayPlan {
  const { today, ahead, leapDay } = options;
  const living = cards.filter(
    ({ card }) => card.kind !== 'group' && !hasFlag(card, 'archived') && !isDead(card),
  );
  const days = findUpcoming(
    living.map(({ card }) => card),
    { from: today, days: ahead, leapDay },
  ).filter(({ kind }) => kind === 'birth' || kind === 'wedding');
  const byUid = new Map(living.map((one) => [one.card.uid, one]));
  const dues = living.flatMap((one): DueCard[] => {
    const due = dueOf(one.card, rhythmFor(one.card['cordialis.example:rhythm'], one.rhythms), one.summary);
    return due ? [{ ...due, uid: one.card.uid }] : [];
  });
  dues.sort((a, b) => (a.day < b.day ? -1 : Number(a.day > b.day)) || (a.uid < b.uid ? -1 : 1));
  const withDue = new Set(dues.map(({ uid }) => uid));
  return {
    greetings: days.filter(
      ({ daysAway, uid, kind }) => daysAway === 0 && !isGreeted(byUid.get(uid)?.card, kind, today),
    ),
    due: dues.filter(({ day }) => day === today),
    late: dues.filter(({ day }) => day < today),
    quiet: quietOnes(
      living.filter(({ card }) => !withDue.has(card.uid)),
      options,
    ),
    coming: days.filter(({ daysAway }) => daysAway > 0),
    comingDue: dues.filter(({ day }) => day > today && day <= addDays(today, ahead)),
  };
}

/** Whether somebody has been silent for unusually long; undefined where there is no telling. */
function quietOf({ card, summary }: TodayCard, today: string): Quiet | undefined {
  if (!summary || card.kind === 'org') return undefined;
  const until = card['cordialis.example:quiet'];
  if (until === 'never' || (until !== undefined && until > today)) return undefined;
  const days = daysBetween(summary.last, today);
  // What is usual is the dear part, and most people have been heard from.
  const usual = days < QUIET_DAYS ? undefined : usualGap(summary);
  if (usual === undefined || days < UNUSUAL * Math.max(usual, 1)) return undefined;
  return { uid: card.uid, days, usual: Math.max(1, Math.round(usual)) };
}

/**
 * The few to think of: by closeness times how unusual the silence is. The same all day; over the days those who weigh
 * alike take turns, as each day moves the weights a little, for everybody by the same rule.
 */
function quietOnes(cards: readonly TodayCard[], { today, quietCount }: TodayOptions): Quiet[] {
  const weighed = cards.flatMap((one) => {
    const quiet = quietOf(one, today);
    if (!quiet) return [];
    const unusual = Math.min(8, quiet.days / quiet.usual);
    return [{ quiet, weight: one.closeness * unusual * (0.75 + 0.5 * turnOf(one.card.uid, today)) }];
  });
  weighed.sort((a, b) => b.weight - a.weight || (a.quiet.uid < b.quiet.uid ? -1 : 1));
  return weighed.slice(0, quietCount).map(({ quiet }) => quiet);
}

/** A number from 0 to 1 for a card and a day, spread evenly (FNV-1a with a last mix, from memory). */
function turnOf(uid: Uid, day: string): number {
  let hash = 0x811c9dc5;
  for (const letter of `${day} ${uid}`) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d);
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32;
}

function isDead(card: Card): boolean {
  return Object.values(card.anniversaries ?? {}).some(({ kind }) => kind === 'death');
}

/** Whether a day has been kept this year already. */
function isGreeted(card: Card | undefined, kind: string, today: string): boolean {
  return card?.['cordialis.example:greeted']?.[kind] === today.slice(0, 4);
}
