import { type AppThunk, summariesArrived } from '@/book/state';
import { KEYS, parseStoredShard } from '@/book/store';
import type { Uid } from '@/core/card';
import { parseTalk } from '@/core/talks';

/** Makes the summaries of some cards again from all their talks, as they are in the store. */
export function rebuildSummaries(uids: readonly Uid[]): AppThunk<Promise<void>> {
  return async (dispatch, _, { storage, writer, search, yieldToPage }) => {
    const wanted = new Set(uids);
    const months: string[] = [];
    await writer.flush();
    for (const key of await storage.getAllKeys()) {
      if (!key.startsWith(KEYS.talks)) continue;
      const { talks } = parseStoredShard(await storage.getItem(key));
      if (talks.some((one) => parseTalk(one)?.with.some((uid) => wanted.has(uid)) === true))
        months.push(key.slice(KEYS.talks.length));
      await yieldToPage();
    }
    const made = await writer.shards.rebuild(uids, months.sort());
    dispatch(summariesArrived(made));
    void search.putTalks(made);
  };
}
