import type { HubAccess } from '@/book/clients';
import { parseShard } from '@/book/commit';
import { type AppThunk, exchangeFinished, selectCardsByUid, selectSummaries } from '@/book/state';
import { KEYS, keysUnder, type RefusedTalk } from '@/book/store';
import { withFiles } from '@/book/talks';
import { inBatches } from '@/core/base';
import { isPrivate, type Uid } from '@/core/card';
import { RECORDS_AT_ONCE, type RecordsPush, type SharedRecord, talkForHub } from '@/core/sync';
import { monthOf, type Talk } from '@/core/talks';
import { HubFault } from '@/platform';

/** Characters in one request, roughly: files are pushed with their talks. */
const MAX_LETTERS = 8_000_000;

/**
 * Pushes every talk, month by month, once after pairing; starting over is idempotent.
 *
 * @param since - the record up to which all is known; 0 for none
 * @returns the ids of all that are here
 */
export function pushAllTalks(at: HubAccess, since = 0): AppThunk<Promise<ReadonlySet<string>>> {
  return async (dispatch, _, services) => {
    const here = new Set<string>();
    await services.writer.flush();
    const keys = keysUnder(await services.storage.getAllKeys(), KEYS.talks).sort();
    for (const [done, key] of keys.entries()) {
      dispatch(exchangeFinished({ work: { done, total: keys.length, what: 'months' } }));
      const talks = parseShard(await services.storage.getItem(key));
      const refused = await dispatch(send(at, since, await dispatch(recordsOf(talks))));
      dispatch(noteRefused(talks, refused));
      for (const { id } of talks) here.add(id);
    }
    return here;
  };
}

/** Says of talks that they aren't here any more. */
export function pushGoneTalks(at: HubAccess, since: number, ids: readonly string[]): AppThunk<Promise<void>> {
  return async (dispatch) => {
    await dispatch(
      send(
        at,
        since,
        ids.map((id) => ({ kind: 'talk', id, value: null })),
      ),
    );
  };
}

/**
 * Pushes talks that have changed since the last push. @param since - the record up to which all is
 * known
 */
export function pushTalks(at: HubAccess, since: number): AppThunk<Promise<void>> {
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
    const asked: Talk[] = [];
    for (const [month, keys] of queued) {
      const talks = parseShard(await storage.getItem(`${KEYS.talks}${month}`));
      const { ids, intakes } = parted([...keys.keys()]);
      const wanted = talks.filter(({ id, intake }) => ids.has(id) || intakes.has(intake ?? ''));
      asked.push(...wanted);
      for (const record of await dispatch(recordsOf(wanted))) records.set(record.id, record);
      const there = new Set(talks.map(({ id }) => id));
      // A talk that has moved to another month is pushed from there.
      for (const id of ids)
        if (!there.has(id) && !records.has(id)) records.set(id, { kind: 'talk', id, value: null });
      for (const intake of intakes)
        if (!talks.some((talk) => talk.intake === intake)) gone.push({ intake, month });
    }
    const refused = await dispatch(send(at, since, [...records.values()]));
    for (const piece of inBatches(gone, RECORDS_AT_ONCE))
      await services.hub.putRecords(at, { since, records: [], gone: [...piece] });
    dispatch(noteRefused(asked, refused, queued));
    for (const [month, keys] of queued)
      await writer.unqueueTalks(month, new Map([...keys].filter(([id]) => !Object.hasOwn(refused, id))));
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

/** Has the talks that the hub doesn't take wait for a change, whoever or whatever brought them. */
function noteRefused(
  talks: readonly Talk[],
  reasons: Reasons,
  pushed: ReadonlyMap<string, ReadonlyMap<string, number>> = new Map(),
): AppThunk {
  return (_, __, { writer }) => {
    const refused = talks.flatMap((talk): RefusedTalk[] => {
      const reason = reasons[talk.id];
      if (reason === undefined) return [];
      return [{ id: talk.id, month: monthOf(talk), day: talk.day, uid: talk.with[0], reason }];
    });
    writer.talkQueue.refuse(refused, pushed);
  };
}

/** What the hub doesn't take, by id, with its reasons. */
type Reasons = Readonly<Record<string, string>>;

/** @returns what the hub doesn't take */
function send(
  at: HubAccess,
  since: number,
  records: readonly SharedRecord[],
): AppThunk<Promise<Record<string, string>>> {
  return async (dispatch) => {
    const refused: Record<string, string> = {};
    const put = async (some: readonly SharedRecord[]) =>
      Object.assign(refused, await dispatch(sendSome(at, since, some)));
    for (const piece of inBatches(records, RECORDS_AT_ONCE)) {
      let some: SharedRecord[] = [];
      let letters = 0;
      for (const record of piece) {
        const length = JSON.stringify(record.value).length;
        if (some.length > 0 && letters + length > MAX_LETTERS) {
          await put(some);
          [some, letters] = [[], 0];
        }
        some.push(record);
        letters += length;
      }
      await put(some);
    }
    return refused;
  };
}

/** Answers of a hub to what it can't take, however often it is asked (RFC 9110 §15.5.1, §15.5.14, §15.5.21). */
const REFUSALS: readonly number[] = [400, 413, 422];

/** Where the hub doesn't take a request as a whole, each half is tried, so that one talk doesn't hold up all others. */
function sendSome(
  at: HubAccess,
  since: number,
  records: readonly SharedRecord[],
): AppThunk<Promise<Reasons>> {
  return async (dispatch, _, { hub }) => {
    try {
      return await hub.putRecords(at, { since, records: [...records], gone: [] });
    } catch (error) {
      const [only] = records;
      if (!(error instanceof HubFault) || !REFUSALS.includes(error.status) || !only) throw error;
      if (records.length === 1) return { [only.id]: error.message };
      const middle = Math.ceil(records.length / 2);
      const first = await dispatch(sendSome(at, since, records.slice(0, middle)));
      return { ...first, ...(await dispatch(sendSome(at, since, records.slice(middle)))) };
    }
  };
}
