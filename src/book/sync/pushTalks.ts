import { parseShard } from '@/book/commit';
import { type AppThunk, exchangeFinished, selectCardsByUid, selectSummaries } from '@/book/state';
import { KEYS } from '@/book/store';
import { withFiles } from '@/book/talks';
import { inBatches } from '@/core/base';
import { isPrivate, type Uid } from '@/core/card';
import { RECORDS_AT_ONCE, type RecordsPush, type SharedRecord, talkForHub } from '@/core/sync';
import type { Talk } from '@/core/talks';

/** Characters in one request, roughly: files are pushed with their talks. */
const MAX_LETTERS = 8_000_000;

/** Pushes every talk, month by month, once after pairing; starting over is idempotent. */
export function pushAllTalks(token: string): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    await services.writer.flush();
    const keys = (await services.storage.getAllKeys()).filter((key) => key.startsWith(KEYS.talks)).sort();
    for (const [done, key] of keys.entries()) {
      dispatch(exchangeFinished({ work: { done, total: keys.length, what: 'months' } }));
      const talks = parseShard(await services.storage.getItem(key));
      await dispatch(send(token, 0, await dispatch(recordsOf(talks)), []));
    }
  };
}

/**
 * Pushes talks that have changed since the last push. @param since - the record up to which all is
 * known
 */
export function pushTalks(token: string, since: number): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    const { writer, storage } = services;
    await dispatch(queueTurned());
    await writer.flush();
    // What the store doesn't take yet waits: there it looks as if it had gone.
    const waiting = new Set(writer.waitingTalks().map(({ id }) => id));
    const queued = new Map(
      [...writer.talkQueue.all()].map(
        ([month, keys]) => [month, new Map([...keys].filter(([key]) => !waiting.has(key)))] as const,
      ),
    );
    const records = new Map<string, SharedRecord>();
    const gone: RecordsPush['gone'] = [];
    for (const [month, keys] of queued) {
      const talks = parseShard(await storage.getItem(`${KEYS.talks}${month}`));
      const { ids, intakes } = parted([...keys.keys()]);
      const wanted = talks.filter(({ id, intake }) => ids.has(id) || intakes.has(intake ?? ''));
      for (const record of await dispatch(recordsOf(wanted))) records.set(record.id, record);
      const there = new Set(talks.map(({ id }) => id));
      // A talk that has moved to another month is pushed from there.
      for (const id of ids)
        if (!there.has(id) && !records.has(id)) records.set(id, { kind: 'talk', id, value: null });
      for (const intake of intakes)
        if (!talks.some((talk) => talk.intake === intake)) gone.push({ intake, month });
    }
    await dispatch(send(token, since, [...records.values()], gone));
    for (const [month, keys] of queued) await writer.unqueueTalks(month, keys);
  };
}

function parted(keys: readonly string[]): { readonly ids: Set<string>; readonly intakes: Set<string> } {
  const isIntake = (key: string) => key.startsWith('intake:');
  return {
    ids: new Set(keys.filter((key) => !isIntake(key))),
    intakes: new Set(keys.filter(isIntake).map((key) => key.slice('intake:'.length))),
  };
}

/** Talks with people whose cards have become private, or no longer are, are pushed again. */
function queueTurned(): AppThunk<Promise<void>> {
  return async (_, getState, { writer, storage }) => {
    const turned = [...writer.turned];
    for (const uid of turned) {
      for (const month of selectSummaries(getState()).get(uid)?.months ?? []) {
        const talks = parseShard(await storage.getItem(`${KEYS.talks}${month}`));
        writer.talkQueue.put(
          month,
          talks.flatMap((talk) => (talk.with.includes(uid) ? talk.id : [])),
        );
      }
      writer.turned.delete(uid);
    }
  };
}

/** Talks in the form that is pushed: without private cards, with their files. */
function recordsOf(talks: readonly Talk[]): AppThunk<Promise<SharedRecord[]>> {
  return async (_, getState, { photos }) => {
    const cards = selectCardsByUid(getState());
    const isHidden = (uid: Uid) => isPrivate(cards.get(uid));
    const whole = await withFiles(talks, photos);
    return whole.map((talk) => ({
      ...{ kind: 'talk' as const, id: talk.id },
      value: talkForHub(talk, isHidden) ?? null,
    }));
  };
}

function send(
  token: string,
  since: number,
  records: readonly SharedRecord[],
  gone: RecordsPush['gone'],
): AppThunk<Promise<void>> {
  return async (_, __, { hub }) => {
    for (const piece of inBatches(records, RECORDS_AT_ONCE)) {
      let some: SharedRecord[] = [];
      let letters = 0;
      for (const record of piece) {
        const length = JSON.stringify(record.value).length;
        if (some.length > 0 && letters + length > MAX_LETTERS) {
          await hub.putRecords(token, { since, records: some, gone: [] });
          [some, letters] = [[], 0];
        }
        some.push(record);
        letters += length;
      }
      await hub.putRecords(token, { since, records: some, gone: [] });
    }
    for (const piece of inBatches(gone, RECORDS_AT_ONCE))
      await hub.putRecords(token, { since, records: [], gone: [...piece] });
  };
}
