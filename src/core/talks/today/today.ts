import { addDays } from '@/core/base';
import { findUpcoming, type LeapDayRule, type Uid, type UpcomingDay } from '@/core/card';

import { type Due, dueOf, rhythmFor } from '../due';
import { followUpsUntil, meetingsUntil, type PlannedFollowUp, type PlannedMeeting } from './planned';
import { findQuiet, type Quiet } from './quiet';
import { isDead, isPlanned, type TodayCard, type TodayFacts } from './todayCard';

/** Why somebody stands on Today; `other` is an anniversary that is neither a birthday nor a wedding day. */
export type Occasion = 'birth' | 'wedding' | 'other' | 'due' | 'quiet';

/** What a day asks for. */
export interface TodayPlan {
  readonly greetings: readonly UpcomingDay[];
  /** Days of death that come round today: remembered, and nothing is asked. */
  readonly remembered: readonly UpcomingDay[];
  /** Due today, the ones set by hand first. */
  readonly due: readonly DueCard[];
  /** Due before today, the longest first. */
  readonly late: readonly DueCard[];
  readonly quiet: readonly Quiet[];
  /** What to be reminded of today, or on a day that is over. */
  readonly followUps: readonly PlannedFollowUp[];
  /** Appointments of today, and those that are over and have not been noted. */
  readonly meetings: readonly PlannedMeeting[];
  /** Days that come round in the coming time, today's not among them. */
  readonly coming: readonly UpcomingDay[];
  /** Talks that fall due in it. */
  readonly comingDue: readonly DueCard[];
  readonly comingFollowUps: readonly PlannedFollowUp[];
  readonly comingMeetings: readonly PlannedMeeting[];
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
  /** Gone quiet: at most. */
  readonly quietCount: number;
  /** Days after today that are looked at. */
  readonly ahead: number;
  /** Whose days are kept; everybody's where it isn't said. */
  readonly daysOf?: ReadonlySet<Uid> | undefined;
}

/** An empty plan. */
export const emptyPlan: TodayPlan = {
  ...{ greetings: [], remembered: [], due: [], late: [], quiet: [], followUps: [], meetings: [] },
  ...{ coming: [], comingDue: [], comingFollowUps: [], comingMeetings: [] },
};

/**
 * Plans a day. Archived cards and lists ask for nothing; the dead are remembered on their day. Written as one walk over
 * the cards, as a large book is planned again after every change.
 */
export function planToday(cards: readonly TodayCard[], options: TodayOptions): TodayPlan {
  const { today, ahead, quietCount, daysOf } = options;
  const last = addDays(today, ahead);
  const living: TodayFacts[] = [];
  const withoutDue: TodayCard[] = [];
  const dated: TodayFacts[] = [];
  const dues: DueCard[] = [];
  for (const one of cards) {
    const { card, rhythms, summary } = one;
    if (!isPlanned(card)) continue;
    if (card.anniversaries && daysOf?.has(card.uid) !== false) dated.push(card);
    if (isDead(card)) continue;
    living.push(card);
    const due = dueOf(card, rhythmFor(card['cordialis.example:rhythm'], rhythms), summary);
    if (due) dues.push({ ...due, uid: card.uid });
    else if (summary) withoutDue.push(one);
  }
  dues.sort((a, b) => (a.day < b.day ? -1 : Number(a.day > b.day)) || (a.uid < b.uid ? -1 : 1));
  const followUps = followUpsUntil(living, last);
  const meetings = meetingsUntil(living, last);
  return {
    ...daysFor(dated, options),
    due: dues.filter(({ day }) => day === today),
    late: dues.filter(({ day }) => day < today),
    comingDue: dues.filter(({ day }) => day > today && day <= last),
    quiet: findQuiet(withoutDue, today, quietCount),
    followUps: followUps.filter(({ day }) => day <= today),
    comingFollowUps: followUps.filter(({ day }) => day > today),
    meetings: meetings.filter(({ meeting }) => meeting.day <= today),
    comingMeetings: meetings.filter(({ meeting }) => meeting.day > today),
  };
}

/** The days of some cards that come round, and whom they bring to greet or to remember today. */
function daysFor(
  dated: readonly TodayFacts[],
  { today, ahead, leapDay }: TodayOptions,
): Pick<TodayPlan, 'greetings' | 'remembered' | 'coming'> {
  const found = findUpcoming(dated, { from: today, days: ahead, leapDay });
  const wanted = new Set(found.map(({ uid }) => uid));
  const byUid = new Map<Uid, TodayFacts>();
  for (const card of dated) if (wanted.has(card.uid)) byUid.set(card.uid, card);
  const days = found.filter(({ uid }) => !isDead(byUid.get(uid) ?? {}));
  return {
    greetings: days.filter(
      (day) => day.daysAway === 0 && !isGreeted(byUid.get(day.uid), greetingKey(day), today),
    ),
    remembered: found.filter(({ kind, daysAway }) => kind === 'death' && daysAway === 0),
    coming: days.filter(({ daysAway }) => daysAway > 0),
  };
}

/** Whether a day has been kept this year already. */
function isGreeted(card: TodayFacts | undefined, key: string, today: string): boolean {
  return card?.['cordialis.example:greeted']?.[key] === today.slice(0, 4);
}

/** Under which name it is noted that somebody has been greeted: somebody may have several days of other kinds. */
export function greetingKey({ kind, id }: Pick<UpcomingDay, 'kind' | 'id'>): string {
  return kind === 'birth' || kind === 'wedding' ? kind : `${kind} ${id}`;
}
