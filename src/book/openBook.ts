import {
  applySettings,
  changeSettings,
  convertOldHistory,
  findUnfinished,
  readShards,
  readSteps,
  readSummaries,
  rebuildSummaries,
} from '@/book/commit';
import {
  type AppThunk,
  bookOpened,
  cardsArrived,
  openFailed,
  pairingChanged,
  pairingSchema,
  readingChanged,
  recordsSetAside,
  rowsReordered,
  rowsRestored,
  rowStyleOf,
  selectCardsByUid,
  selectOrder,
  selectRowsByUid,
  selectSettings,
  selectShards,
  type Settings,
  settingsArrived,
  settingsSchema,
  stepsArrived,
  summariesArrived,
  talksChanged,
} from '@/book/state';
import {
  detachPhotos,
  KEYS,
  keysUnder,
  type Merged,
  namesUnder,
  parseJson,
  SCHEMA_VERSION,
  type Written,
} from '@/book/store';
import { importTalks } from '@/book/talks';
import { errorMessage, inBatches, isObject, isSameJson } from '@/core/base';
import { type CardRow, parseCard, type RowStyle, type Uid } from '@/core/card';
import { monthOf, parseTalk, type Talk, type TalkSummary, withTalk } from '@/core/talks';
import { DEMO_ADDRESS, DEMO_TONES } from '@/platform';
import { texts as wording } from '@/texts/book/book';

/** Cards read per batch, before yielding to the page. */
const CHUNK = 400;

/** Rows serialised per batch, before yielding to the page. */
const ROWS_AT_ONCE = 3000;

/** Steps of the history that are at hand after a start. */
const STEPS_AT_START = 300;

/**
 * Opens the book: first its rows as they were last time, so that it can be looked at; then its cards, in pieces; then
 * the last steps of its history.
 */
export function openBook(): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    try {
      const first = await services.storage.getMany([KEYS.schema, KEYS.settings, KEYS.rows, KEYS.hub]);
      const version = Number(first[KEYS.schema] ?? SCHEMA_VERSION);
      if (version > SCHEMA_VERSION)
        throw new Error(`this book was written by a newer version (${version}); update Cordialis to open it`);
      const settings = await dispatch(openSettings(first[KEYS.settings] ?? ''));
      const pairing = pairingSchema.safeParse(parseJson(first[KEYS.hub]));
      services.writer.queueForHub(pairing.success);
      if (pairing.success) dispatch(pairingChanged(pairing.data));
      const style = rowStyleOf(settings);
      dispatch(rowsReordered({ settings: style, cards: [] }));
      const rows = parseJson(first[KEYS.rows]);
      if (isRowSnapshot(rows, style)) dispatch(rowsRestored(rows.rows));
      const isNew = first[KEYS.schema] === null || first[KEYS.schema] === undefined;
      if (isNew) await dispatch(beginBook());
      dispatch(bookOpened());
      await services.yieldToPage();
      const keys = await services.storage.getAllKeys();
      services.writer.sawQueued(namesUnder(keys, KEYS.queue));
      const aside = keysUnder(keys, KEYS.aside);
      if (aside.length > 0) dispatch(recordsSetAside(aside.map((key) => key.slice(KEYS.aside.length))));
      const queued = keysUnder(keys, KEYS.talkQueue);
      await dispatch(readTalkQueue(queued.map((key) => key.slice(KEYS.talkQueue.length))));
      // A demo is read once its mail is in, too: cards and talks don't change any more by themselves then.
      const isMore = isNew && services.fetchFirstMail !== undefined;
      await dispatch(readAllCards(namesUnder(keys, KEYS.card), isMore));
      const damaged = await dispatch(readSummaries(keysUnder(keys, KEYS.summary)));
      if (damaged.length > 0) await dispatch(rebuildSummaries(damaged));
      await dispatch(openHistory(keys));
      await dispatch(saveRowSnapshot());
      if (isMore) {
        await dispatch(takeInFirstMail());
        dispatch(readingChanged(undefined));
      }
    } catch (error) {
      dispatch(openFailed(errorMessage(error)));
    }
  };
}

/** Settings as they are stored; where some can't be read the whole is set aside, and those fall back to their defaults. */
function openSettings(text: string): AppThunk<Promise<Settings>> {
  return async (dispatch, _, { storage }) => {
    const stored = parseJson(text);
    const settings = settingsSchema.parse(isObject(stored) ? stored : {});
    dispatch(settingsArrived(settings));
    const wrong = isObject(stored)
      ? Object.entries(settings).flatMap(([key, value]) =>
          Object.hasOwn(stored, key) && !isSameJson(stored[key], value) ? [key] : [],
        )
      : [];
    if (text !== '' && (!isObject(stored) || wrong.length > 0))
      await storage.setMany({ [`${KEYS.aside}${KEYS.settings}`]: text }).catch(() => undefined);
    return settings;
  };
}

/** Talks by month that have still to be pushed, as an earlier page, or another one, left them. */
export function readTalkQueue(months: readonly string[]): AppThunk<Promise<void>> {
  return async (_, __, { storage, writer }) => {
    if (months.length === 0 || !writer.talkQueue.isKept) return;
    const stored = await storage.getMany(months.map((month) => `${KEYS.talkQueue}${month}`));
    for (const month of months) {
      const keys = parseJson(stored[`${KEYS.talkQueue}${month}`]);
      if (Array.isArray(keys)) writer.talkQueue.put(month, keys.map(String));
    }
  };
}

/** The first start: notes the schema, and puts in the cards that a demo begins with. */
function beginBook(): AppThunk<Promise<void>> {
  return async (_, __, services) => {
    const batch: Record<string, string> = { [KEYS.schema]: String(SCHEMA_VERSION) };
    for (const value of (await services.fetchFirstCards?.()) ?? []) {
      const parsed = parseCard(value);
      if (parsed.kind === 'fault') continue;
      const { card, photos } = detachPhotos(parsed.card);
      batch[`${KEYS.card}${card.uid}`] = JSON.stringify(card);
      for (const [id, uri] of Object.entries(photos)) batch[`${KEYS.photo}${id}`] = uri;
    }
    const talks = ((await services.fetchFirstTalks?.()) ?? []).flatMap((value) => parseTalk(value) ?? []);
    Object.assign(batch, recordsOf(talks));
    await services.storage.setMany(batch);
  };
}

/** Reads the mail and the calendar that a demo begins with; where they don't come it begins without. */
function takeInFirstMail(): AppThunk<Promise<void>> {
  return async (dispatch, _, { fetchFirstMail }) => {
    if (!fetchFirstMail) return;
    dispatch(changeSettings({ ownAddresses: [DEMO_ADDRESS], tagTones: DEMO_TONES }));
    const options = { source: wording.simulatedMailbox, withTexts: true, isQuiet: true };
    await fetchFirstMail()
      .then((files) =>
        dispatch(importTalks(files, { ...options, onProgress: () => undefined, onJob: () => undefined })),
      )
      .catch(() => undefined);
  };
}

/** Talks as they are stored: by month, and what is kept of them for each card. */
function recordsOf(talks: readonly Talk[]): Record<string, string> {
  const shards = new Map<string, Talk[]>();
  const summaries = new Map<Uid, TalkSummary>();
  for (const talk of talks) {
    const shard = shards.get(monthOf(talk));
    if (shard) shard.push(talk);
    else shards.set(monthOf(talk), [talk]);
    for (const uid of talk.with) summaries.set(uid, withTalk(summaries.get(uid), talk));
  }
  const records = (prefix: string, all: Iterable<readonly [string, unknown]>) =>
    [...all].map(([key, value]) => [`${prefix}${key}`, JSON.stringify(value)] as const);
  return Object.fromEntries([...records(KEYS.talks, shards), ...records(KEYS.summary, summaries)]);
}

/** @param isMore - whether something else has still to come in before the book has been read */
function readAllCards(keys: readonly Uid[], isMore: boolean): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    const remembered = new Set(selectOrder(getState()));
    for (let start = 0; start < keys.length; start += CHUNK) {
      const chunk = keys.slice(start, start + CHUNK);
      const { cards, damaged } = await services.writer.readCards(chunk);
      if (damaged.length > 0)
        dispatch(recordsSetAside(damaged.map(({ key, message }) => `${key}: ${message}`)));
      for (const { uid } of cards) remembered.delete(uid);
      dispatch(readingChanged({ done: Math.min(start + CHUNK, keys.length), total: keys.length }));
      await services.yieldToPage();
    }
    // Rows of cards that are no longer there.
    const known = selectCardsByUid(getState());
    const gone = [...remembered].filter((uid) => !known.get(uid));
    if (gone.length > 0) dispatch(cardsArrived({ upserts: [], removed: gone }));
    if (!isMore) dispatch(readingChanged(undefined));
  };
}

/** Keeps the rows for the next start. Not awaited by anything: if it is lost the rows are made from the cards. */
export function saveRowSnapshot(): AppThunk<Promise<void>> {
  return async (_, getState, services) => {
    const state = getState();
    const byUid = selectRowsByUid(state);
    const rows = selectOrder(state).flatMap((uid) => byUid.get(uid) ?? []);
    const texts: string[] = [];
    for (const piece of inBatches(rows, ROWS_AT_ONCE)) {
      texts.push(JSON.stringify(piece).slice(1, -1));
      await services.yieldToPage();
    }
    const style = JSON.stringify(rowStyleOf(selectSettings(state)));
    const record = { [KEYS.rows]: `{"style":${style},"rows":[${texts.join(',')}]}` };
    // Where the disk is full the next start makes them from the cards.
    await services.storage.setMany(record).catch(() => undefined);
  };
}

/** What a write found in the store beside what this page has changed: shows it. */
export function takeMerged({ cards, removed, talks, summaries, settings }: Merged): AppThunk {
  return (dispatch, getState, { search }) => {
    if (cards.length > 0 || removed.length > 0) {
      dispatch(cardsArrived({ upserts: cards, removed }));
      void search.put(cards, removed, selectSettings(getState()).country);
    }
    if (settings) dispatch(applySettings(settingsSchema.parse(settings)));
    if (talks.length > 0) dispatch(talksChanged(talks));
    if (summaries.length === 0) return;
    dispatch(summariesArrived(summaries));
    void search.putTalks(summaries);
  };
}

/** Reads the last steps of the history, and what a page that was closed has left half done. @param stored - all keys */
function openHistory(stored: readonly string[]): AppThunk<Promise<void>> {
  return async (dispatch, _, services) => {
    const { storage } = services;
    const old = keysUnder(stored, KEYS.oldChange);
    const aside = old.length === 0 ? [] : await dispatch(convertOldHistory(old));
    const keys = old.length === 0 ? stored : await storage.getAllKeys();
    const ids = namesUnder(keys, KEYS.step);
    const { steps, damaged } = await readSteps(services, ids.sort().slice(-STEPS_AT_START));
    if (damaged.length > 0) {
      await storage.setMany(Object.fromEntries(damaged.map(([key, text]) => [`${KEYS.aside}${key}`, text])));
      await storage.removeMany(damaged.map(([key]) => key));
    }
    const names = [...aside, ...damaged.map(([key]) => key)];
    if (names.length > 0) dispatch(recordsSetAside(names.map((name) => `${name}: ${wording.stepIsDamaged}`)));
    dispatch(stepsArrived(steps));
    const todo = keysUnder(keys, KEYS.todo);
    const isAnyUnderWay = steps.some((step) => step.todo ?? step.replaying);
    if (isAnyUnderWay || todo.length > 0) await dispatch(findUnfinished(todo));
  };
}

/** What another page has written: reads it and shows it. */
export function refreshFromStore(
  uids: readonly Uid[],
  steps: readonly string[],
  hasSettings: boolean,
  talks: Pick<Written, 'months' | 'summaries'> = { months: [], summaries: [] },
): AppThunk<Promise<void>> {
  return async (dispatch, getState, services) => {
    await services.writer.readCards(uids);
    dispatch(stepsArrived((await readSteps(services, steps)).steps));
    const settings = hasSettings ? await services.storage.getItem(KEYS.settings) : null;
    const stored = parseJson(settings);
    if (isObject(stored))
      dispatch(applySettings(settingsSchema.parse(services.writer.settings.arrived(stored))));
    // Months that nobody has looked at here yet are read when somebody does.
    const known = talks.months.filter((month) => selectShards(getState())[month]);
    await dispatch(readShards(known, true));
    await dispatch(
      readSummaries(
        talks.summaries.map((uid) => `${KEYS.summary}${uid}`),
        true,
      ),
    );
  };
}

interface RowSnapshot {
  readonly style: RowStyle;
  readonly rows: CardRow[];
}

function isRowSnapshot(value: unknown, style: RowStyle): value is RowSnapshot {
  if (typeof value !== 'object' || value === null || !('rows' in value) || !('style' in value)) return false;
  return Array.isArray(value.rows) && JSON.stringify(value.style) === JSON.stringify(style);
}
