import type { HubAccess } from '@/book/clients';
import { inTurn, newStep, noteStep, parseShard, putNow } from '@/book/commit';
import type { TalkChange } from '@/book/history';
import { type AppThunk, noticeShown, recordsSetAside, selectCardsByUid, selectSetAside } from '@/book/state';
import { KEYS, keysUnder, parseJson } from '@/book/store';
import { withoutFiles } from '@/book/talks';
import { isSameJson } from '@/core/base';
import { isPrivate, shownAs, type Uid } from '@/core/card';
import { type RecordsPull, talkFromHub } from '@/core/sync';
import { parseTalk, type Talk, talkFault } from '@/core/talks';
import { texts } from '@/texts/sync/sync';

import { applyPulledSettings } from './sharedSettings';

/** The result of a pull of records. */
export interface PulledRecords {
  /** The new cursor. */
  readonly since: number;
  /** Whether everything was applied; a talk being changed here is pushed first and pulled again. */
  readonly isWhole: boolean;
}

type Pulled = RecordsPull['records'][number];

/** Applies others' changes of talks and settings. @param isQuiet - without a step of the history */
export function pullRecords(
  access: HubAccess,
  since: number,
  isQuiet: boolean,
): AppThunk<Promise<PulledRecords>> {
  return async (dispatch, _, { hub }) => {
    let isWhole = true;
    await dispatch(takeTalksSetAside(isQuiet));
    for (let from = since; ;) {
      const page = await hub.records(access, from);
      await dispatch(applyPulledSettings(page.records.filter(({ kind }) => kind === 'setting')));
      const talks = page.records.filter(({ kind }) => kind === 'talk');
      if (talks.length > 0) isWhole = (await dispatch(takeTalks(talks, isQuiet))) && isWhole;
      from = page.seq;
      if (!page.isMore) return { since: from, isWhole };
    }
  };
}

/** @returns whether all of them were taken in */
function takeTalks(pulled: readonly Pulled[], isQuiet: boolean): AppThunk<Promise<boolean>> {
  return async (dispatch, getState, services) => {
    const talks = pulled.flatMap(({ value }) => parseTalk(value) ?? []);
    const light = new Map((await withoutFiles(talks, services.photos)).map((talk) => [talk.id, talk]));
    return inTurn(services, async () => {
      const known = await dispatch(readTalks(pulled));
      const cards = selectCardsByUid(getState());
      const isHidden = (uid: Uid) => isPrivate(cards.get(uid));
      let isWhole = true;
      const changes: TalkChange[] = [];
      const by = new Set<string>();
      for (const one of pulled) {
        const { id, months, value, by: name } = one;
        if (months.some((month) => services.writer.talkQueue.has(month, id))) {
          isWhole = false;
          continue;
        }
        const before = known.get(id);
        const theirs = light.get(id);
        if (value !== null && !theirs) {
          dispatch(setTalkAside(one));
          continue;
        }
        const after = theirs && talkFromHub(before, theirs, isHidden);
        // One with nobody but people whose cards are private is told as gone: here it stays.
        if (!after && before?.with.every(isHidden) === true) continue;
        if ((!before && !after) || (before && after && isSameJson(before, after))) continue;
        changes.push({ ...(before ? { before } : {}), ...(after ? { after } : {}) });
        by.add(name ?? texts.hub);
      }
      if (changes.length === 0) return isWhole;
      await dispatch(putNow(changes, true));
      if (!isQuiet) dispatch(noteTalks([...by].join(', '), changes));
      return isWhole;
    });
  };
}

/** A talk that can't be read here, by a newer version's hand say, is kept until it can; what is here stays. */
function setTalkAside(pulled: Pulled): AppThunk {
  return (dispatch, _, { writer }) => {
    const name = `${FROM_HUB}${pulled.id}`;
    writer.put(`${KEYS.aside}${name}`, JSON.stringify(pulled));
    dispatch(recordsSetAside([`${name}: ${talkFault(pulled.value) ?? ''}`]));
  };
}

/** Talks that could not be read when they came and can be now, as a newer version may. */
function takeTalksSetAside(isQuiet: boolean): AppThunk<Promise<void>> {
  return async (dispatch, getState, { storage, writer }) => {
    if (!selectSetAside(getState()).some((name) => name.startsWith(FROM_HUB))) return;
    const prefix = `${KEYS.aside}${FROM_HUB}`;
    const keys = keysUnder(await storage.getAllKeys(), prefix);
    if (keys.length === 0) return;
    const stored = await storage.getMany(keys);
    const readable = keys.flatMap((key) => {
      const pulled = parseJson(stored[key]) as Pulled | undefined;
      return pulled && talkFault(pulled.value) === undefined ? [{ key, pulled }] : [];
    });
    if (readable.length === 0) return;
    const isWhole = await dispatch(
      takeTalks(
        readable.map(({ pulled }) => pulled),
        isQuiet,
      ),
    );
    if (isWhole) await writer.remove(readable.map(({ key }) => key));
  };
}

/** Talks from the hub that can't be read, among what is set aside. */
const FROM_HUB = 'hub-talk:';

/** The talks as they are here, from the months in which they have been. */
function readTalks(pulled: readonly Pulled[]): AppThunk<Promise<Map<string, Talk>>> {
  return async (_, __, { writer, storage }) => {
    await writer.flush();
    const wanted = new Set(pulled.map(({ id }) => id));
    const months = [...new Set(pulled.flatMap((one) => one.months))];
    const found = new Map<string, Talk>();
    for (const month of months)
      for (const talk of parseShard(await storage.getItem(`${KEYS.talks}${month}`)))
        if (wanted.has(talk.id)) found.set(talk.id, talk);
    return found;
  };
}

/** Talks that one step of the history keeps; more are many, and can't be looked through one by one. */
const STEP = 200;

function noteTalks(by: string, talks: readonly TalkChange[]): AppThunk {
  return (dispatch, getState, services) => {
    if (talks.length > STEP) return;
    const [{ before, after } = {}, second] = talks;
    const uid = (after ?? before)?.with[0];
    const card = uid === undefined ? undefined : selectCardsByUid(getState()).get(uid);
    const says = !after ? texts.deletedTalk : before ? texts.changedTalk : texts.notedTalk;
    const label = second
      ? texts.changedTalks(by, talks.length)
      : says(by, card ? shownAs(card) : texts.somebody);
    const begun = newStep(services, { cause: 'sync', label, at: services.utcNow() });
    dispatch(noteStep(begun, { cards: [], talks }, [], { isFromHub: true }));
    dispatch(noticeShown({ text: label, tone: 'plain', changeId: begun.id }));
  };
}
