import { daysBetween } from '@/core/base';
import type { Uid } from '@/core/card';

import { usualGap } from '../summary';
import type { TodayCard } from './todayCard';

/** Somebody not heard from for unusually long. */
export interface Quiet {
  readonly uid: Uid;
  /** Days since the last talk. */
  readonly days: number;
  /** Days that are usual between the two. */
  readonly usual: number;
}

/** Silence is unusual from this multiple of the usual gap, and never before this many days. Our choice. */
const UNUSUAL = 2;
const QUIET_DAYS = 30;
/** Silence counts as this unusual at most; the day moves every weight between these. Ours. */
const MOST_UNUSUAL = 8;
const [LEAST_TURN, TURN_SPAN] = [0.75, 0.5];

/**
 * The few people to suggest: by closeness times how unusual the silence is. The same all day; from day to day, people
 * of similar weight take turns, since each day varies the weights slightly.
 */
export function findQuiet(cards: readonly TodayCard[], today: string, count: number): Quiet[] {
  const best: { readonly quiet: Quiet; readonly weight: number }[] = [];
  for (const one of closestFirst(cards)) {
    // Calculating the usual gap is the expensive step; the rest can no longer be among the best.
    const most = one.closeness * MOST_UNUSUAL * (LEAST_TURN + TURN_SPAN);
    const least = best[count - 1]?.weight ?? 0;
    if (most < least) break;
    const quiet = quietOf(one, today);
    if (!quiet) continue;
    const unusual = Math.min(MOST_UNUSUAL, quiet.days / quiet.usual);
    if (one.closeness * unusual * (LEAST_TURN + TURN_SPAN) < least) continue;
    best.push({
      quiet,
      weight: one.closeness * unusual * (LEAST_TURN + TURN_SPAN * turnOf(one.card.uid, today)),
    });
    best.sort((a, b) => b.weight - a.weight || (a.quiet.uid < b.quiet.uid ? -1 : 1));
    best.length = Math.min(best.length, count);
  }
  return best.map(({ quiet }) => quiet);
}

/** By closeness, of which there are a hundred and one values: nothing has to be compared. */
function closestFirst(cards: readonly TodayCard[]): TodayCard[] {
  const byCloseness: TodayCard[][] = [];
  for (const one of cards) (byCloseness[Math.ceil(one.closeness)] ??= []).push(one);
  return byCloseness.reverse().flat();
}

/** Whether somebody has been silent for unusually long; undefined where there is no telling. */
function quietOf({ card, summary }: TodayCard, today: string): Quiet | undefined {
  if (!summary || card.kind === 'org') return undefined;
  const until = card['cordialis.example:quiet'];
  if (until === 'never' || (until !== undefined && until > today)) return undefined;
  const days = daysBetween(summary.last, today);
  // Calculating the usual gap is the expensive step, and most people have been heard from.
  const usual = days < QUIET_DAYS ? undefined : usualGap(summary);
  if (usual === undefined || days < UNUSUAL * Math.max(usual, 1)) return undefined;
  return { uid: card.uid, days, usual: Math.max(1, Math.round(usual)) };
}

/** A number from 0 to 1 for a card and a day, spread evenly (FNV-1a with a last mix, from memory). */
function turnOf(uid: Uid, day: string): number {
  let hash = 0x811c9dc5;
  for (const letter of `${day} ${uid}`) hash = Math.imul(hash ^ (letter.codePointAt(0) ?? 0), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d);
  return ((hash ^ (hash >>> 13)) >>> 0) / 2 ** 32;
}
