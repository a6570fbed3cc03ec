import type { AppThunk } from '@/book/state';
import { KEYS, namesUnder, parseJson, parseStoredShard } from '@/book/store';
import { inBatches, isObject } from '@/core/base';
import type { Uid } from '@/core/card';
import { isSameSummary, parseTalk, summarySchema, type TalkSummary, withTalk } from '@/core/talks';

import { filesIn, pieceKey } from './noteStep';
import { rebuildSummaries } from './rebuildSummaries';

/** Records read at once, before yielding to the page. */
const PIECE = 200;

/** When the store was last looked through, and what nothing referred to then. */
interface Upkeep {
  readonly at: number;
  readonly fullAt: number;
  /** Ids of photos and other files. */
  readonly unused: readonly string[];
}

/** Milliseconds of a day. */
export const DAY_MS = 86_400_000;
/** Days between two times that all of the store is looked through. */
const FULL_DAYS = 30;

/** The record of the upkeep. */
export function readUpkeep(): AppThunk<Promise<Upkeep>> {
  return async (_, __, { storage }) => {
    const value = parseJson(await storage.getItem(KEYS.upkeep));
    const { at = 0, fullAt = 0, unused = [] } = isObject(value) ? (value as Partial<Upkeep>) : {};
    return { at, fullAt, unused };
  };
}

/**
 * Looks through the store, where it is time: what belongs to no step goes, so do files that nothing refers to, a day
 * after that was noticed; summaries that disagree with their talks are made again; damaged months are set aside.
 *
 * @param isFull - whatever the time
 */
export function lookThroughStore(isFull: boolean): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    const { storage, writer, nowMs } = services;
    const last = await dispatch(readUpkeep());
    const now = nowMs();
    const isDue = isFull || now - last.fullAt > FULL_DAYS * DAY_MS || last.unused.length > 0;
    if (!isDue) return writer.put(KEYS.upkeep, JSON.stringify({ ...last, at: now }));
    await writer.flush();
    const keys = await storage.getAllKeys();
    const steps = new Set(namesUnder(keys, KEYS.step));
    const idOf = (name: string) => name.slice(0, -pieceKey('', 0).length);
    const orphans = [KEYS.piece, KEYS.pieceFiles].flatMap((prefix) =>
      namesUnder(keys, prefix).flatMap((name) => (steps.has(idOf(name)) ? [] : [`${prefix}${name}`])),
    );
    if (orphans.length > 0) await writer.remove(orphans);
    const used = new Set<string>();
    await dispatch(lookThroughTalks(keys, used));
    const rest = keys.filter((key) => !NAME_NO_FILES.some((prefix) => key.startsWith(prefix)));
    for (const some of inBatches(rest, PIECE)) {
      for (const text of Object.values(await storage.getMany([...some])))
        for (const id of idsIn(text)) used.add(id);
      await services.yieldToPage();
    }
    const unused = [...new Set([...namesUnder(keys, KEYS.photo), ...namesUnder(keys, KEYS.thumb)])].filter(
      (id) => !used.has(id),
    );
    const before = new Set(now - last.at >= DAY_MS ? last.unused : []);
    const gone = unused.filter((id) => before.has(id));
    for (const some of inBatches(gone, PIECE))
      await writer.remove(some.flatMap((id) => [`${KEYS.photo}${id}`, `${KEYS.thumb}${id}`]));
    const waiting = unused.filter((id) => !before.has(id));
    writer.put(KEYS.upkeep, JSON.stringify({ at: now, fullAt: now, unused: waiting }));
  };
}

/** Records that name no file, or have been looked through by themselves. */
const NAME_NO_FILES = [KEYS.photo, KEYS.thumb, KEYS.talks, KEYS.rows, KEYS.summary, KEYS.piece, KEYS.upkeep];

/** The files that a record names: as properties of cards, or, what a piece needs, as a list. */
function idsIn(text: string | null): readonly string[] {
  if (text === null) return [];
  if (!text.startsWith('["')) return filesIn(text);
  const list = parseJson(text);
  return Array.isArray(list) ? list.map(String) : [];
}

/** @param used - takes the files that talks name */
function lookThroughTalks(keys: readonly string[], used: Set<string>): AppThunk<Promise<void>> {
  return async (dispatch, _, { storage, writer, yieldToPage }) => {
    const made = new Map<Uid, TalkSummary>();
    for (const month of namesUnder(keys, KEYS.talks).sort()) {
      const text = await storage.getItem(`${KEYS.talks}${month}`);
      const { talks, damaged } = parseStoredShard(text);
      if (damaged !== undefined) await writer.shards.setAside(month);
      for (const id of filesIn(text ?? '')) used.add(id);
      for (const stored of talks) {
        const talk = parseTalk(stored);
        for (const uid of talk?.with ?? []) if (talk) made.set(uid, withTalk(made.get(uid), talk));
      }
      await yieldToPage();
    }
    const wrong: Uid[] = [];
    for (const some of inBatches([...new Set([...made.keys(), ...namesUnder(keys, KEYS.summary)])], PIECE)) {
      const stored = await storage.getMany(some.map((uid) => `${KEYS.summary}${uid}`));
      for (const uid of some) {
        const { data } = summarySchema.safeParse(parseJson(stored[`${KEYS.summary}${uid}`]));
        if (!isSameSummary(data, made.get(uid))) wrong.push(uid);
      }
      await yieldToPage();
    }
    if (wrong.length > 0) await dispatch(rebuildSummaries(wrong));
  };
}
