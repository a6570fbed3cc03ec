import type { Card, Uid } from '@/core/card';

import type { Rhythm } from '../due';
import type { TalkSummary } from '../summary';
import { planToday, type TodayOptions, type TodayPlan } from './today';
import { type TodayCard, type TodayFacts, todayFacts } from './todayCard';

/** What a day is planned by where a list may be asked for. */
export interface DayQuestion extends Omit<TodayOptions, 'daysOf'> {
  /** The list whose members' days are kept; everybody's where it isn't said. */
  readonly list?: Uid | undefined;
}

/** What is known of cards beside themselves. */
export interface KnownOfCards {
  readonly summaries: ReadonlyMap<Uid, TalkSummary>;
  /** Closeness of everybody on a day, 0 to 100. */
  closeness(today: string): ReadonlyMap<Uid, number>;
  /** Everybody on a list, by rule, by choice and through lists on it. */
  membersOf(list: Uid, today: string): readonly Uid[];
}

/** Everything that planning a day needs of cards and talks, kept up to date. */
export class DayBook {
  private readonly facts = new Map<Uid, TodayFacts>();

  constructor(private readonly known: KnownOfCards) {}

  /** Takes on cards as they are now. */
  put(cards: readonly Card[], removed: readonly Uid[]): void {
    for (const uid of removed) this.facts.delete(uid);
    for (const card of cards) this.facts.set(card.uid, todayFacts(card));
  }

  /** What a day asks for. */
  plan({ list, ...options }: DayQuestion): TodayPlan {
    const { today } = options;
    const { summaries } = this.known;
    const closeness = this.known.closeness(today);
    const rhythms = this.listRhythms(today);
    const cards: TodayCard[] = [];
    for (const [uid, card] of this.facts)
      cards.push({
        card,
        summary: summaries.get(uid),
        closeness: closeness.get(uid) ?? 0,
        rhythms: rhythms.get(uid) ?? NONE,
      });
    const daysOf = list === undefined ? undefined : new Set(this.known.membersOf(list, today));
    return planToday(cards, { ...options, daysOf });
  }

  /** The rhythms that lists bring to those on them. */
  private listRhythms(today: string): Map<Uid, Rhythm[]> {
    const rhythms = new Map<Uid, Rhythm[]>();
    for (const { kind, uid, 'cordialis.example:rhythm': rhythm } of this.facts.values()) {
      if (kind !== 'group' || !rhythm) continue;
      for (const member of this.known.membersOf(uid, today))
        rhythms.set(member, [...(rhythms.get(member) ?? []), rhythm]);
    }
    return rhythms;
  }
}

const NONE: readonly Rhythm[] = [];
