import { monthName } from '@/core/base';
import type { Uid } from '@/core/card';
import type { TalkSummary } from '@/core/talks';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/talks/talks';

/** A card in an order that talks decide, and what stands over it. */
export interface TalkPlace {
  readonly uid: Uid;
  readonly heading: string;
  /** Of the thumb index. */
  readonly letter: string;
}

/** By the last talk, the latest first, under its month; those without one last, in the order they come. */
export function byLastTalk(
  uids: readonly Uid[],
  summaryOf: (uid: Uid) => TalkSummary | undefined,
  locale?: string,
): TalkPlace[] {
  const lastOf = (uid: Uid) => summaryOf(uid)?.last ?? '';
  return [...uids]
    .sort((a, b) => (lastOf(a) < lastOf(b) ? 1 : lastOf(a) > lastOf(b) ? -1 : 0))
    .map((uid) => {
      const last = lastOf(uid);
      if (last === '') return { uid, heading: shared.noTalkYet, letter: '–' };
      return { uid, heading: monthName(last.slice(0, 7), locale), letter: last.slice(0, 4) };
    });
}

/** How much of closeness stands together under a heading. */
const BAND = 20;

/** By closeness, the closest first, in five bands; those without a talk last. */
export function byCloseness(uids: readonly Uid[], closeness: ReadonlyMap<Uid, number>): TalkPlace[] {
  return [...uids]
    .sort((a, b) => (closeness.get(b) ?? -1) - (closeness.get(a) ?? -1))
    .map((uid) => {
      const rank = closeness.get(uid);
      if (rank === undefined) return { uid, heading: shared.noTalkYet, letter: '–' };
      const from = Math.min(100 - BAND, Math.floor(rank / BAND) * BAND);
      return { uid, heading: texts.closenessTo(from, from + BAND), letter: String(from) };
    });
}
