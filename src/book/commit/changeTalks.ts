import type { TalkChange } from '@/book/history';
import {
  type AppThunk,
  type RootState,
  selectReading,
  selectShards,
  selectSummaries,
  shardsArrived,
  summariesArrived,
  talksChanged,
} from '@/book/state';
import { KEYS, keysUnder, parseJson, parseStoredShard } from '@/book/store';
import { inBatches } from '@/core/base';
import type { Uid } from '@/core/card';
import { monthOf, parseTalk, summarySchema, type Talk, type TalkSummary, withTalk } from '@/core/talks';

import { makeTurns } from './turns';

/** Shows changed talks, keeps their summaries up to date, and has both written. */
export function putTalks(changes: readonly TalkChange[], isFromHub = false): AppThunk<Promise<void>> {
  return (dispatch, _, services) => inTurn(services, () => dispatch(putNow(changes, isFromHub)));
}

/** The talks of a change as they are now, by id: on their day, or wherever talks with their people are. */
export function findTalks(changes: readonly TalkChange[]): AppThunk<Promise<Map<string, Talk>>> {
  return async (dispatch, getState) => {
    const asked = changes.flatMap(({ before, after }): Talk[] => [
      ...(before ? [before] : []),
      ...(after ? [after] : []),
    ]);
    const ids = new Set(asked.map(({ id }) => id));
    const found = new Map<string, Talk>();
    const look = async (months: readonly string[]) => {
      await dispatch(readShards(months));
      const shards = selectShards(getState());
      for (const month of months)
        for (const talk of shards[month] ?? []) if (ids.has(talk.id)) found.set(talk.id, talk);
    };
    await look([...new Set(asked.map(monthOf))]);
    const missing = asked.filter(({ id }) => !found.has(id));
    const summaries = selectSummaries(getState());
    const elsewhere = missing.flatMap((talk) => talk.with).flatMap((uid) => summaries.get(uid)?.months ?? []);
    if (elsewhere.length > 0) await look([...new Set(elsewhere)]);
    return found;
  };
}

/** Changes of talks run one after the other, since each summary builds on the one before. */
export const inTurn = makeTurns();

/** The same, in the turn of who calls. @param isFromHub - the hub knows of them already */
export function putNow(changes: readonly TalkChange[], isFromHub = false): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    dispatch(talksChanged(changes));
    services.writer.putTalks(changes, isFromHub);
    const summaries = summariesAhead(getState(), changes);
    if (summaries === undefined) {
      // Made again of all talks as they are written; the writer hands them out.
      await services.writer.flush();
      return;
    }
    dispatch(summariesArrived(summaries));
    void services.search.putTalks(summaries);
  };
}

/**
 * The new summaries of everybody concerned, where they can be had without reading: a talk more goes into a summary that
 * is at hand. undefined where a talk goes or changes, or the book has not been read to its end.
 */
function summariesAhead(
  state: RootState,
  changes: readonly TalkChange[],
): [Uid, TalkSummary | undefined][] | undefined {
  if (selectReading(state) !== undefined || changes.some(({ before }) => before)) return undefined;
  const known = selectSummaries(state);
  const summaries = new Map<Uid, TalkSummary | undefined>();
  for (const { after } of changes)
    for (const uid of after?.with ?? [])
      if (after) summaries.set(uid, withTalk(summaries.get(uid) ?? known.get(uid), after));
  return [...summaries];
}

/** Reads the talks of some months, unless they have been read. */
export function readShards(months: readonly string[], isAnew = false): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const missing = months.filter((month) => isAnew || !selectShards(getState())[month]);
    if (missing.length === 0) return;
    // What this page has changed but not written yet is not in the store.
    await services.writer.flush();
    const stored = await services.storage.getMany(missing.map((month) => `${KEYS.talks}${month}`));
    const shards = Object.fromEntries(
      missing.map((month) => [month, parseShard(stored[`${KEYS.talks}${month}`])]),
    );
    for (const month of missing)
      if (parseStoredShard(stored[`${KEYS.talks}${month}`]).damaged !== undefined)
        await services.writer.shards.setAside(month);
    dispatch(shardsArrived(shards));
  };
}

/**
 * The talks of a month as they are stored; what can't be read is left out, and stays in the store until it is
 * written.
 */
export function parseShard(text: string | null | undefined): Talk[] {
  const values = parseJson(text);
  return Array.isArray(values) ? values.flatMap((value) => parseTalk(value) ?? []) : [];
}

/** Every talk there is, from the store. */
export function readAllTalks(): AppThunk<Promise<Talk[]>> {
  return async (_, __, services) => {
    await services.writer.flush();
    const keys = keysUnder(await services.storage.getAllKeys(), KEYS.talks);
    const talks: Talk[] = [];
    for (const key of keys.sort()) {
      talks.push(...parseShard(await services.storage.getItem(key)));
      await services.yieldToPage();
    }
    return talks;
  };
}

/** Summaries read at once when the book is opened. */
const SUMMARIES_AT_ONCE = 1000;

/**
 * Reads what is kept of the talks with each card.
 *
 * @param isAnew - whether what this page knows already is read again, as another page has changed it
 * @returns the cards whose summary can't be read
 */
export function readSummaries(keys: readonly string[], isAnew = false): AppThunk<Promise<Uid[]>> {
  return async (dispatch, getState, services) => {
    const damaged: Uid[] = [];
    for (const some of inBatches(keys, SUMMARIES_AT_ONCE)) {
      const stored = await services.storage.getMany([...some]);
      const known = selectSummaries(getState());
      const summaries = Object.entries(stored)
        .map(([key, text]) => {
          const { data } = summarySchema.safeParse(parseJson(text));
          const uid = key.slice(KEYS.summary.length);
          if (!data && text !== null && text !== '') damaged.push(uid);
          return [uid, data] as const;
        })
        // What has changed on this page in the meantime is newer than what was read.
        .filter(([uid]) => isAnew || !known.get(uid));
      dispatch(summariesArrived(summaries));
      void services.search.putTalks(summaries);
      await services.yieldToPage();
    }
    return damaged;
  };
}
