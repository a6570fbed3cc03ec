import type { TalkChange } from '@/book/history';
import {
  type AppThunk,
  selectShards,
  selectSummaries,
  type Services,
  shardsArrived,
  summariesArrived,
  talksChanged,
} from '@/book/state';
import { KEYS, parseJson } from '@/book/store';
import { inBatches } from '@/core/base';
import type { Uid } from '@/core/card';
import {
  parseTalk,
  summarise,
  summarySchema,
  type Talk,
  type TalkSummary,
  talksWith,
  withTalk,
} from '@/core/talks';

/** Shows changed talks, keeps their summaries up to date, and has both written. */
export function putTalks(changes: readonly TalkChange[]): AppThunk<Promise<void>> {
  return (dispatch, _, services) => {
    return inTurn(services, () => dispatch(putNow(changes)));
  };
}

/** Changes of talks run one after the other, since each summary builds on the one before. */
export function inTurn<T>(services: Services, work: () => Promise<T>): Promise<T> {
  const turn = (turns.get(services) ?? Promise.resolve()).then(work);
  turns.set(
    services,
    turn.then(
      () => undefined,
      () => undefined,
    ),
  );
  return turn;
}

const turns = new WeakMap<Services, Promise<void>>();

/** The same, in the turn of who calls. @param isFromHub - the hub knows of them already */
export function putNow(changes: readonly TalkChange[], isFromHub = false): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    dispatch(talksChanged(changes));
    services.writer.putTalks(changes, isFromHub);
    const uids = new Set(
      changes.flatMap(({ before, after }) => [...(before?.with ?? []), ...(after?.with ?? [])]),
    );
    const summaries: [Uid, TalkSummary | undefined][] = [];
    for (const uid of uids) summaries.push([uid, await dispatch(newSummary(uid, changes))]);
    dispatch(summariesArrived(summaries));
    void services.search.putTalks(summaries);
    for (const [uid, summary] of summaries)
      services.writer.put(`${KEYS.summary}${uid}`, summary ? JSON.stringify(summary) : '');
  };
}

/** A talk more goes into the summary by itself; one that goes or changes means reading all talks with the card again. */
function newSummary(uid: Uid, changes: readonly TalkChange[]): AppThunk<Promise<TalkSummary | undefined>> {
  return async (dispatch, getState, services) => {
    const concerned = changes.filter(({ before, after }) =>
      [before, after].some((talk) => talk?.with.includes(uid)),
    );
    const known = selectSummaries(getState()).get(uid) ?? (await storedSummary(services, uid));
    if (concerned.every(({ before }) => !before)) {
      let summary = known;
      for (const { after } of concerned) if (after) summary = withTalk(summary, after);
      return summary;
    }
    const months = new Set([
      ...(known?.months ?? []),
      ...concerned.flatMap(({ before, after }) =>
        [before?.day.slice(0, 7) ?? [], after?.day.slice(0, 7) ?? []].flat(),
      ),
    ]);
    await dispatch(readShards([...months]));
    const shards = selectShards(getState());
    return summarise(
      talksWith(
        [...months].flatMap((month) => shards[month] ?? []),
        [uid],
      ),
    );
  };
}

/**
 * While the book is still being read a summary may be in the store only; one that has just gone must be gone there
 * too.
 */
async function storedSummary(services: Services, uid: Uid): Promise<TalkSummary | undefined> {
  await services.writer.flush();
  const text = await services.storage.getItem(`${KEYS.summary}${uid}`);
  return summarySchema.safeParse(parseJson(text)).data;
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
    const keys = (await services.storage.getAllKeys()).filter((key) => key.startsWith(KEYS.talks));
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
 */
export function readSummaries(keys: readonly string[], isAnew = false): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    for (const some of inBatches(keys, SUMMARIES_AT_ONCE)) {
      const stored = await services.storage.getMany([...some]);
      const known = selectSummaries(getState());
      const summaries = Object.entries(stored)
        .map(
          ([key, text]) =>
            [key.slice(KEYS.summary.length), summarySchema.safeParse(parseJson(text)).data] as const,
        )
        // What has changed on this page in the meantime is newer than what was read.
        .filter(([uid]) => isAnew || !known.get(uid));
      dispatch(summariesArrived(summaries));
      void services.search.putTalks(summaries);
      await services.yieldToPage();
    }
  };
}
