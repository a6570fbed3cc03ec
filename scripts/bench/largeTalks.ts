import { addDays } from '@/core/base';
import { type Talk, TALK_KINDS, type TalkSummary, withTalk } from '@/core/talks';
import { Dice } from '@/demo';

/** Days of mail and calendar that a busy professional's book holds: 18 years. */
const DAYS = 18 * 365;
const SEED = 1806;
const SAID = 'What was agreed about the hall, the fee and the train, in a line or two.';

/** Talks month by month, and what is kept at hand of them all. */
export interface LargeTalks {
  readonly months: ReadonlyMap<string, readonly Talk[]>;
  readonly summaries: ReadonlyMap<string, TalkSummary>;
}

/** Talks with the cards of a large book: some people have very many, most a few. @param lastDay - 2026-11-24 */
export function generateLargeTalks(uids: readonly string[], count: number, lastDay: string): LargeTalks {
  const dice = new Dice(SEED);
  const months = new Map<string, Talk[]>();
  const summaries = new Map<string, TalkSummary>();
  for (let i = 0; i < count; i += 1) {
    // Ascending, as they come in: the summary takes a newer talk on at once.
    const day = addDays(lastDay, Math.floor((i / count) * DAYS) - DAYS);
    const uid = uids[Math.floor(dice.next() ** 3 * uids.length)] ?? '';
    const talk: Talk = {
      ...{ id: `t${i}`, kind: dice.pick(TALK_KINDS), day, direction: dice.chance(0.5) ? 'in' : 'out' },
      ...{ with: [uid], said: SAID, intake: 'bench' },
    };
    const month = months.get(day.slice(0, 7));
    if (month) month.push(talk);
    else months.set(day.slice(0, 7), [talk]);
    summaries.set(uid, withTalk(summaries.get(uid), talk));
  }
  return { months, summaries };
}
