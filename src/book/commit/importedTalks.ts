import { type AppThunk, noticeShown, selectShards, summariesArrived, talksChanged } from '@/book/state';
import { KEYS, keysUnder } from '@/book/store';
import type { Uid } from '@/core/card';
import { parseTalk, type Talk, type TalkSummary, withTalk } from '@/core/talks';
import { texts } from '@/texts/book/commit';

import { inTurn } from './changeTalks';

/** Months between two reports of progress. */
const SAY_EVERY = 24;

/**
 * Stores talks of a month that an import brings, those known already left out, and keeps what is at hand of them up to
 * date. Months that nobody has looked at are not kept in memory.
 *
 * @returns those that were new
 */
export function storeTalks(month: string, talks: readonly Talk[]): AppThunk<Promise<readonly Talk[]>> {
  return (dispatch, _, services) => inTurn(services, () => dispatch(storeNow(month, talks)));
}

function storeNow(month: string, talks: readonly Talk[]): AppThunk<Promise<readonly Talk[]>> {
  return async (dispatch, getState, services) => {
    const { added, summaries } = await services.writer.shards.addTalks(month, talks);
    if (added.length === 0) return added;
    if (selectShards(getState())[month]) dispatch(talksChanged(added.map((after) => ({ after }))));
    dispatch(summariesArrived([...summaries]));
    void services.search.putTalks([...summaries]);
    return added;
  };
}

/** Deletes the talks of an import and recalculates the summaries of the cards they were with. */
export function removeImportedTalks(intake: string): AppThunk<Promise<void>> {
  return (dispatch, _, services) => inTurn(services, () => dispatch(removeNow(intake)));
}

function removeNow(intake: string): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const summaries = new Map<Uid, TalkSummary>();
    const concerned = new Set<Uid>();
    const keys = keysUnder(await services.storage.getAllKeys(), KEYS.talks).sort();
    for (const [i, key] of keys.entries()) {
      const month = key.slice(KEYS.talks.length);
      const { gone, left } = await services.writer.shards.removeIntake(month, intake);
      const talks = gone.flatMap((talk) => parseTalk(talk) ?? []);
      for (const talk of talks) for (const uid of talk.with) concerned.add(uid);
      for (const talk of left.flatMap((one) => parseTalk(one) ?? []))
        for (const uid of talk.with) summaries.set(uid, withTalk(summaries.get(uid), talk));
      if (talks.length > 0 && selectShards(getState())[month])
        dispatch(talksChanged(talks.map((before) => ({ before }))));
      if (i % SAY_EVERY === SAY_EVERY - 1)
        dispatch(noticeShown({ text: texts.undoingTalks(month), tone: 'plain' }));
      await services.yieldToPage();
    }
    const changed = [...concerned].map((uid) => [uid, summaries.get(uid)] as const);
    dispatch(summariesArrived(changed));
    void services.search.putTalks(changed);
    for (const [uid, summary] of changed)
      services.writer.put(`${KEYS.summary}${uid}`, summary ? JSON.stringify(summary) : '');
  };
}
