import { type Card, type Uid } from '../card';
import type { Rhythm } from './due';
import type { TalkSummary } from './summary';

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

const FACTS = [
  'uid',
  'kind',
  'created',
  'anniversaries',
  'cordialis.example:archived',
  'cordialis.example:due',
  'cordialis.example:rhythm',
  'cordialis.example:quiet',
  'cordialis.example:greeted',
  'cordialis.example:followUps',
  'cordialis.example:meetings',
] as const satisfies readonly (keyof TodayFacts)[];

/** A card and what is known of talks with it. */
export interface TodayCard {
  readonly card: TodayFacts;
  readonly summary: TalkSummary | undefined;
  /** 0 to 100. */
  readonly closeness: number;
  /** Rhythms of the lists it is on. */
  readonly rhythms: readonly Rhythm[];
}

/** The facts of a card. */
export function todayFacts(card: Card): TodayFacts {
  return Object.fromEntries(
    FACTS.flatMap((name) => (card[name] === undefined ? [] : [[name, card[name]]])),
  ) as
    // Built from the names above, of which uid is always there.
    TodayFacts;
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
