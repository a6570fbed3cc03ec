import { type Job, writeBackupInWorker } from '@/book/clients';
import { changeSettings, parseShard } from '@/book/commit';
import { type AppThunk, selectCardsByUid, selectSettings } from '@/book/state';
import { KEYS, keysUnder, withPhotos } from '@/book/store';
import { withFiles } from '@/book/talks';
import type { Card } from '@/core/card';
import { monthOf, type Talk } from '@/core/talks';

/** Cards that are handed over at once, with their photos. */
const CARDS = 100;
/** Talks that are handed over at once. */
const TALKS = 2000;

/** How far packing is, 0 to 1. */
export type PackProgress = (share01: number) => void;

/**
 * Starts packing the whole book, photos and settings included, into one file. Cards, photos and talks are read when their
 * turn comes. What could not be written into the store goes along as well.
 */
export function backUpBook(onProgress: PackProgress = () => undefined): AppThunk<Promise<Job<Blob>>> {
  return async (dispatch, getState, services) => {
    const state = getState();
    const cards = [...selectCardsByUid(state).values()].sort((a, b) => (a.uid < b.uid ? -1 : 1));
    await services.writer.flush();
    const months = await dispatch(monthsOfTalks());
    const total = cards.length + months.length * 10 || 1;
    let done = 0;
    const says = (count: number) => onProgress((done += count) / total);
    let at = 0;
    let waiting: readonly Talk[] = [];
    const source = {
      cards: async (): Promise<readonly Card[] | undefined> => {
        const some = cards.slice(at, (at += CARDS));
        says(some.length);
        return some.length === 0 ? undefined : withPhotos(some, services.photos);
      },
      talks: async (): Promise<readonly Talk[] | undefined> => {
        while (waiting.length === 0) {
          const month = months.shift();
          if (month === undefined) return undefined;
          waiting = await dispatch(talksOf(month));
          says(10);
        }
        const some = waiting.slice(0, TALKS);
        waiting = waiting.slice(TALKS);
        return withFiles(some, services.photos);
      },
    };
    return writeBackupInWorker(source, selectSettings(state), services.utcNow());
  };
}

/** The months that have talks, in order. */
function monthsOfTalks(): AppThunk<Promise<string[]>> {
  return async (_, __, { storage, writer }) => {
    const keys = keysUnder(await storage.getAllKeys(), KEYS.talks);
    const unwritten = writer.waitingTalks().flatMap(({ after }) => (after ? monthOf(after) : []));
    return [...new Set([...keys.map((key) => key.slice(KEYS.talks.length)), ...unwritten])].sort();
  };
}

/** The talks of a month in the order of their ids, with what is not written yet. */
function talksOf(month: string): AppThunk<Promise<Talk[]>> {
  return async (_, __, { storage, writer }) => {
    const talks = new Map(
      parseShard(await storage.getItem(`${KEYS.talks}${month}`)).map((talk) => [talk.id, talk]),
    );
    for (const { id, after } of writer.waitingTalks())
      if (after && monthOf(after) === month) talks.set(id, after);
      else talks.delete(id);
    return [...talks.values()].sort((a, b) => (a.id < b.id ? -1 : 1));
  };
}

/** Notes that a backup has been handed to the user. */
export function noteBackup(): AppThunk {
  return (dispatch, _, services) => dispatch(changeSettings({ lastBackupAt: services.utcNow() }));
}
