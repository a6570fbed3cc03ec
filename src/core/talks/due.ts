import { addDays, addMonths, daysBetween } from '@/core/base';
import type { Card } from '@/core/card';
import { texts } from '@/texts/talks/talks';

import type { TalkSummary } from './summary';

/** How often to be in touch. */
export type Rhythm = NonNullable<Card['cordialis.example:rhythm']>;

/** Units of a rhythm, with our words for several of them. */
export const RHYTHM_UNITS: readonly (readonly [Rhythm['unit'], string])[] = [
  ['day', 'days'],
  ['week', 'weeks'],
  ['month', 'months'],
  ['quarter', 'quarters'],
  ['year', 'years'],
];

const MONTHS = { month: 1, quarter: 3, year: 12 } as const;

/** The day a rhythm leads to from another day. */
export function afterRhythm(day: string, { every, unit }: Rhythm): string {
  if (unit === 'day') return addDays(day, every);
  if (unit === 'week') return addDays(day, 7 * every);
  return addMonths(day, MONTHS[unit] * every);
}

/** The effective rhythm: the person's own, else the shortest of their lists'; a paused one doesn't count. */
export function rhythmFor(own: Rhythm | undefined, ofLists: readonly Rhythm[]): Rhythm | undefined {
  if (own) return own.paused === true ? undefined : own;
  if (ofLists.length === 0) return undefined;
  const going = ofLists.filter(({ paused }) => paused !== true);
  const daysOf = (rhythm: Rhythm) => daysBetween('2025-01-01', afterRhythm('2025-01-01', rhythm));
  return going.sort((a, b) => daysOf(a) - daysOf(b))[0];
}

/** When the next talk falls, and why. */
export interface Due {
  readonly day: string;
  readonly by: 'hand' | 'rhythm';
}

/**
 * The day the next talk falls on: the one set by hand, else the last talk plus the rhythm; with a rhythm and no talk
 * yet it is the day the card was made plus the rhythm.
 */
export function dueOf(
  card: Pick<Card, 'cordialis.example:due' | 'created'>,
  rhythm: Rhythm | undefined,
  summary: Pick<TalkSummary, 'last'> | undefined,
): Due | undefined {
  const byHand = card['cordialis.example:due'];
  if (byHand !== undefined) return { day: byHand, by: 'hand' };
  const from = summary?.last ?? card.created?.slice(0, 10);
  return rhythm && from !== undefined ? { day: afterRhythm(from, rhythm), by: 'rhythm' } : undefined;
}

/** "every 2 weeks", "every month". */
export function formatRhythm({ every, unit }: Rhythm): string {
  return texts.every(every, unit);
}

/** The card, or the list, with a rhythm; without one where none is given. */
export function withRhythm(card: Card, rhythm: Rhythm | undefined): Card {
  const { 'cordialis.example:rhythm': _, ...rest } = card;
  return rhythm ? { ...rest, 'cordialis.example:rhythm': rhythm } : rest;
}
