import type { Card, Uid } from '@/core/card';

import type { TodayFacts } from './todayCard';

/** Something to be reminded of. */
export type FollowUp = NonNullable<Card['cordialis.example:followUps']>[string];
/** An appointment. */
export type Meeting = NonNullable<Card['cordialis.example:meetings']>[string];

/** Something to be reminded of, and of whom. */
export interface PlannedFollowUp {
  readonly uid: Uid;
  readonly id: string;
  readonly day: string;
  readonly text: string;
}

/** An appointment and everybody who comes. */
export interface PlannedMeeting {
  readonly id: string;
  readonly uids: readonly Uid[];
  readonly meeting: Meeting;
}

/** What some cards are to be reminded of up to a day, the earliest first. */
export function followUpsUntil(cards: readonly TodayFacts[], last: string): PlannedFollowUp[] {
  const found: PlannedFollowUp[] = [];
  for (const { uid, 'cordialis.example:followUps': followUps } of cards)
    for (const id in followUps) {
      const { day = '', text = '' } = followUps[id] ?? {};
      if (day <= last) found.push({ uid, id, day, text });
    }
  return found.sort((a, b) => compareTexts(a.day, b.day) || compareTexts(a.uid, b.uid));
}

/** Appointments up to a day, the earliest first, each once with all who come. */
export function meetingsUntil(cards: readonly TodayFacts[], last: string): PlannedMeeting[] {
  const found = new Map<string, PlannedMeeting>();
  for (const { uid, 'cordialis.example:meetings': meetings } of cards)
    for (const id in meetings) {
      const meeting = meetings[id];
      if (meeting && meeting.day <= last)
        found.set(id, { id, meeting, uids: [...(found.get(id)?.uids ?? []), uid] });
    }
  const when = ({ meeting }: PlannedMeeting) => `${meeting.day} ${meeting.time ?? ''}`;
  return [...found.values()].sort((a, b) => compareTexts(when(a), when(b)) || compareTexts(a.id, b.id));
}

/** The card with something to be reminded of, or without it where none is given. */
export function withFollowUp(card: Card, id: string, followUp: FollowUp | undefined): Card {
  const { 'cordialis.example:followUps': before, ...rest } = card;
  const next = withEntry(before, id, followUp);
  return next ? { ...rest, 'cordialis.example:followUps': next } : rest;
}

/** The card with an appointment, or without it where none is given. */
export function withMeeting(card: Card, id: string, meeting: Meeting | undefined): Card {
  const { 'cordialis.example:meetings': before, ...rest } = card;
  const next = withEntry(before, id, meeting);
  return next ? { ...rest, 'cordialis.example:meetings': next } : rest;
}

function withEntry<T>(
  entries: Readonly<Record<string, T>> = {},
  id: string,
  entry: T | undefined,
): Record<string, T> | undefined {
  const { [id]: _, ...others } = entries;
  const next = entry === undefined ? others : { ...others, [id]: entry };
  return Object.keys(next).length === 0 ? undefined : next;
}

function compareTexts(a: string, b: string): number {
  return a < b ? -1 : Number(a > b);
}
