import type { CardEdit } from '@/book/history';
import { makeAppStore, recordsSetAside, savingChanged, type Services } from '@/book/state';
import { BookWriter, PhotoCache, type Written } from '@/book/store';
import { checkArrivals } from '@/book/tidy';
import type * as Inspector from '@/book/workers/makeInspector';
import type { Card, Uid } from '@/core/card';
import { emptyPlan } from '@/core/talks';
import type * as Merging from '@/core/tidy';
import { HubFault, type TextStorage } from '@/platform';

import { takeMerged } from './openBook';

/** Cards as they shall be, whatever they are; for tests only. */
export const put = (...cards: readonly Card[]): CardEdit[] =>
  cards.map((card) => ({ uid: card.uid, apply: () => card }));

/** Cards that shall be gone; for tests only. */
export const gone = (...uids: readonly Uid[]): CardEdit[] =>
  uids.map((uid) => ({ uid, apply: () => undefined }));

/** A storage in memory that counts and can be made to fail; for tests only. */
export class MemoryStorage implements TextStorage {
  readonly entries = new Map<string, string>();
  writes = 0;
  fails = false;

  getItem = (key: string) => Promise.resolve(this.entries.get(key) ?? null);
  getMany = (keys: string[]) =>
    Promise.resolve(Object.fromEntries(keys.map((key) => [key, this.entries.get(key) ?? null])));
  setMany = (entries: Record<string, string>) => {
    if (this.fails) return Promise.reject(new Error('the disk is full'));
    this.writes += 1;
    for (const [key, value] of Object.entries(entries)) this.entries.set(key, value);
    return Promise.resolve();
  };
  removeMany = (keys: string[]) => {
    for (const key of keys) this.entries.delete(key);
    return Promise.resolve();
  };
  getAllKeys = () => Promise.resolve([...this.entries.keys()]);
  clear = () => Promise.resolve(this.entries.clear());
}

/** A storage of a page that is closed after so many writes: from then on nothing of that page reaches it. */
export class EndingStorage extends MemoryStorage {
  left = Infinity;
  /** Resolves with the first write that doesn't come through. */
  readonly ended: Promise<void>;

  constructor(entries: ReadonlyMap<string, string>) {
    super();
    for (const [key, text] of entries) this.entries.set(key, text);
    const [set, remove] = [this.setMany, this.removeMany];
    let end: () => void = () => undefined;
    this.ended = new Promise((resolve) => (end = resolve));
    const isOver = () => {
      this.left -= 1;
      if (this.left < 0) end();
      return this.left < 0;
    };
    this.setMany = (some) => (isOver() ? new Promise(() => undefined) : set(some));
    this.removeMany = (keys) => (isOver() ? new Promise(() => undefined) : remove(keys));
  }

  /** What the next page finds. */
  next(): MemoryStorage {
    this.left = 0;
    return Object.assign(new MemoryStorage(), { entries: new Map(this.entries) });
  }
}

/**
 * Does some work on a page that is closed after no write, after one, and so on until it comes to its end; for tests only.
 *
 * @param work - sets `left` of its storage to the number of writes when it begins
 * @param check - given what the next page finds
 * @returns how many writes all of it takes
 */
export async function closedAnywhere(
  entries: ReadonlyMap<string, string>,
  work: (storage: EndingStorage, writes: number) => Promise<unknown>,
  check: (storage: MemoryStorage, isOver: boolean) => Promise<void>,
): Promise<number> {
  for (let writes = 0; ; writes += 1) {
    const storage = new EndingStorage(entries);
    const over = work(storage, writes).then(() => true);
    const isOver = await Promise.race([over, storage.ended.then(() => false)]);
    await check(storage.next(), isOver);
    if (isOver) return writes;
  }
}

/** What the duplicates worker does, in this process; loaded on first use, as merging is. */
export function testInspector(): Services['inspector'] {
  const load = () => jest.requireActual<typeof Inspector>('@/book/workers/makeInspector').makeInspector();
  const withBook = (book: { values(): readonly Card[] }) => {
    const api = load();
    api.update(book.values(), []);
    return api;
  };
  return {
    duplicatesOf: (cards, book) => Promise.resolve(withBook(book).duplicatesOf(cards)),
    faultsOf: (...asked) => Promise.resolve(load().faultsOf(...asked)),
    extract: (wish, book) => Promise.resolve(withBook(book).extract(wish)),
    newsIn: (...asked) => Promise.resolve(load().newsIn(...asked)),
    unite: (...asked) => Promise.resolve(load().unite(...asked)),
    importOnto: (...asked) => Promise.resolve(load().importOnto(...asked)),
  };
}

/** A hub that can't be reached. */
function testHub(): Services['hub'] {
  const fail = () => Promise.reject(new HubFault('the hub can’t be reached', 0));
  return {
    ...{ pair: fail, demoCode: fail, newCode: fail, unpair: fail, push: fail, pull: fail, putMembers: fail },
    ...{ putRecords: fail, records: fail, epoch: fail, known: fail },
    ...{ devices: fail, addDevice: fail, changeDevice: fail, removeDevice: fail, log: fail },
    ...{ ahead: fail, standIn: fail, addStandIn: fail, resetStandIn: fail, visit: fail, setOffline: fail },
    ...{
      undoSync: fail,
      addServer: fail,
      visitServer: fail,
      editHeld: fail,
      duplicateHeld: fail,
      removeHeld: fail,
    },
    ...{ mails: fail, mail: fail, newMail: fail, sendMails: fail },
    ...{ toSettle: fail, settled: fail, listen: () => () => undefined },
  };
}

/**
 * A page's book over a storage in memory, with a clock that ticks once a call; for tests only.
 *
 * @param onSaved - told of every write, as the other pages of the book are
 */
export function openTestBook(
  storage: MemoryStorage = new MemoryStorage(),
  first?: readonly Card[],
  more: Partial<Services> = {},
  onSaved: (written: Written) => void = () => undefined,
) {
  let tick = 0;
  const writer = new BookWriter('test', storage, {
    onSaving: () => store.dispatch(savingChanged({ kind: 'saving' })),
    onSaved: (written) => {
      store.dispatch(savingChanged({ kind: 'saved' }));
      onSaved(written);
    },
    onFailed: (message) => store.dispatch(savingChanged({ kind: 'failed', message })),
    onMerged: (merged) => store.dispatch(takeMerged(merged)),
    onSetAside: (names) => store.dispatch(recordsSetAside(names)),
  });
  const services: Services = {
    storage,
    writer,
    photos: new PhotoCache(storage, (key) => writer.waitingText(key)),
    search: {
      put: () => Promise.resolve(0),
      putTalks: () => Promise.resolve(),
      understand: () => Promise.resolve([]),
      help: () => Promise.resolve({ parts: [], rest: '' }),
      others: () => Promise.resolve([]),
      examples: () => Promise.resolve([]),
      find: (text) => Promise.resolve({ words: text, tests: [], hits: [] }),
      matching: () => Promise.resolve([]),
      onList: () => Promise.resolve([]),
      listsOf: () => Promise.resolve([]),
      today: () => Promise.resolve(emptyPlan),
      locate: () => Promise.resolve({ cards: [], hasGazetteer: false }),
      closenessOf: () => Promise.resolve(undefined),
      zoneOf: () => Promise.resolve(undefined),
      pointOf: () => Promise.resolve(undefined),
    },
    inspector: {
      ...testInspector(),
      duplicatesOf: () => Promise.resolve([]),
      faultsOf: () => Promise.resolve([]),
    },
    // Loaded when a test merges: what it needs is large, and most tests don't.
    mergeCards: (groups, choices) => {
      const { mergeGroups } = jest.requireActual<typeof Merging>('@/core/tidy');
      return Promise.resolve(mergeGroups(groups, choices));
    },
    hub: testHub(),
    newUid: () => `urn:uuid:00000000-0000-4000-8000-${String((tick += 1)).padStart(12, '0')}`,
    utcNow: () => `2026-11-24T10:00:${String((tick += 1) % 60).padStart(2, '0')}Z`,
    nowMs: () => (tick += 1),
    yieldToPage: () => Promise.resolve(),
    ifAlone: (_, work) => work(),
    ...(first ? { fetchFirstCards: () => Promise.resolve([...first]) } : {}),
    ...more,
  };
  const store = makeAppStore(services, checkArrivals);
  return { store, services, storage, writer };
}
