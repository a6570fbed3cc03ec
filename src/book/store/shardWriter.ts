import type { Uid } from '@/core/card';
import { parseTalk, summarise, type Talk, type TalkSummary, talksWith } from '@/core/talks';
import type { TextStorage } from '@/platform';

import { type AddedTalks, addToShard, type SplitShard, splitShard } from './importedShards';
import { KEYS } from './keys';
import { intakesOf, parseStoredShard } from './storedTalks';
import type { TalkQueue } from './talkQueue';
import { NOTHING_WRITTEN, type WriterEvents } from './written';

/** What the writer of the book lends. */
interface Lent {
  readonly storage: TextStorage;
  readonly events: WriterEvents;
  readonly talkQueue: TalkQueue;
  /** Runs once all that was queued before is written, and while no other page writes. */
  readonly alone: <T>(work: () => Promise<T>) => Promise<T>;
  /** The record of what of a month is still to be pushed. */
  readonly queueOf: (month: string) => Readonly<Record<string, string>>;
}

/** Writes months of talks as a whole: what imports bring and take away, and what is damaged. */
export class ShardWriter {
  constructor(private readonly lent: Lent) {}

  /**
   * Puts talks into the shard of a month at once, those that are in it already left out; the summaries of their people
   * go into the store with them, or not at all.
   *
   * @returns those that were new, and the summaries
   */
  async addTalks(month: string, talks: readonly Talk[]): Promise<Pick<AddedTalks, 'added' | 'summaries'>> {
    const { storage, events, talkQueue, queueOf } = this.lent;
    return this.lent.alone(async () => {
      const { added, summaries, records, isDamaged } = await addToShard(storage, month, talks);
      if (added.length === 0) return { added, summaries };
      talkQueue.put(month, intakesOf(added));
      await storage.setMany({ ...records, ...queueOf(month) });
      if (isDamaged) events.onSetAside([`${KEYS.talks}${month}`]);
      events.onSaved({ ...NOTHING_WRITTEN, months: [month], summaries: [...summaries.keys()] });
      return { added, summaries };
    });
  }

  /** Takes the talks of an import away from a month. @returns those that are gone, and those that stay */
  async removeIntake(month: string, intake: string): Promise<SplitShard> {
    const { storage, events, talkQueue, queueOf } = this.lent;
    return this.lent.alone(async () => {
      const { gone, left } = await splitShard(storage, month, intake);
      if (gone.length > 0) {
        talkQueue.put(month, [`intake:${intake}`]);
        await storage.setMany({ [`${KEYS.talks}${month}`]: JSON.stringify(left), ...queueOf(month) });
        events.onSaved({ ...NOTHING_WRITTEN, months: [month] });
      }
      return { gone, left };
    });
  }

  /** Sets a month aside that can't be read, so that it isn't taken for one without talks. */
  async setAside(month: string): Promise<void> {
    const { storage, events } = this.lent;
    const key = `${KEYS.talks}${month}`;
    await this.lent.alone(async () => {
      const { damaged } = parseStoredShard(await storage.getItem(key));
      if (damaged === undefined) return;
      await storage.setMany({ [`${KEYS.aside}${key}`]: damaged, [key]: '[]' });
      events.onSetAside([key]);
    });
  }

  /**
   * Makes the summaries of some cards again.
   *
   * @param months - those with their talks
   */
  async rebuild(
    uids: readonly Uid[],
    months: readonly string[],
  ): Promise<(readonly [Uid, TalkSummary | undefined])[]> {
    const { storage, events } = this.lent;
    return this.lent.alone(async () => {
      const talks: Talk[] = [];
      for (const month of months) {
        const stored = parseStoredShard(await storage.getItem(`${KEYS.talks}${month}`)).talks;
        talks.push(
          ...talksWith(
            stored.flatMap((one) => parseTalk(one) ?? []),
            uids,
          ),
        );
      }
      const made = uids.map((uid) => [uid, summarise(talksWith(talks, [uid]))] as const);
      await storage.setMany(
        Object.fromEntries(
          made.map(([uid, summary]) => [`${KEYS.summary}${uid}`, summary ? JSON.stringify(summary) : '']),
        ),
      );
      events.onSaved({ ...NOTHING_WRITTEN, summaries: [...uids] });
      return made;
    });
  }
}
