import type { Card, Uid } from '@/core/card';

import type { Rhythm } from '../due';
import type { TalkSummary } from '../summary';

/** What of a card the day is planned by; small, so that a worker can keep it of every card. */
export type TodayFacts = { readonly uid: Uid } & Pick<
  Card,
  | 'kind'
  | 'created'
  | 'anniversaries'
  | 'cordialis.example:archived'
  | 'cordialis.example:due'
  | 'cordialis.example:rhythm'
  | 'cordialis.example:quiet'
  | 'cordialis.example:greeted'
  | 'cordialis.example:followUps'
  | 'cordialis.example:meetings'
>;

/** A card and what is known of talks with it. */
export interface TodayCard {
  readonly card: TodayFacts;
  readonly summary: TalkSummary | undefined;
  /** 0 to 100. */
  readonly closeness: number;
  /** Rhythms of the lists it is on. */
  readonly rhythms: readonly Rhythm[];
}

/**
 * The facts of a card. Every object has every property in one order: engines read objects of one shape several times
 * faster, and a day is planned from all of them.
 */
export function todayFacts(card: Card): TodayFacts {
  const facts: Record<keyof TodayFacts, unknown> = {
    uid: card.uid,
    kind: card.kind,
    created: card.created,
    anniversaries: card.anniversaries,
    'cordialis.example:archived': card['cordialis.example:archived'],
    'cordialis.example:due': card['cordialis.example:due'],
    'cordialis.example:rhythm': card['cordialis.example:rhythm'],
    'cordialis.example:quiet': card['cordialis.example:quiet'],
    'cordialis.example:greeted': card['cordialis.example:greeted'],
    'cordialis.example:followUps': card['cordialis.example:followUps'],
    'cordialis.example:meetings': card['cordialis.example:meetings'],
  };
  // The properties of a valid card; one that is undefined is read as one that is missing.
  return facts as TodayFacts;
}

/** Whether a card asks for anything on any day: archived cards and lists don't. */
export function isPlanned(card: TodayFacts): boolean {
  return card.kind !== 'group' && card['cordialis.example:archived'] !== true;
}

/** Whether somebody has died. */
export function isDead({ anniversaries }: Pick<TodayFacts, 'anniversaries'>): boolean {
  for (const id in anniversaries) if (anniversaries[id]?.kind === 'death') return true;
  return false;
}
