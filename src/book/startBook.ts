import { hubClient, InspectorWorker, mergeInWorker, startSearchWorker } from '@/book/clients';
import { keepUp } from '@/book/commit';
import { type AppStore, makeAppStore, recordsSetAside, savingChanged, type Services } from '@/book/state';
import { BookWriter, KEYS, PhotoCache, type Written } from '@/book/store';
import { keepExchanging, readPairing } from '@/book/sync';
import { checkArrivals } from '@/book/tidy';
import {
  askToPersist,
  type BookName,
  fetchDemoCards,
  fetchDemoMail,
  fetchDemoTalks,
  ifTabLockFree,
  isPersisted,
  later,
  newUid,
  nowMs,
  onPageLeave,
  openStorage,
  openTabChannel,
  utcNow,
  yieldToPage,
} from '@/platform';

import { openBook, readTalkQueue, refreshFromStore, saveRowSnapshot, takeMerged } from './openBook';

/** How long after a write the rows are kept for the next start, in milliseconds. */
const REMEMBER_AFTER_MS = 1500;

/** When the store is looked after, once a day: long after the page has begun, in milliseconds. */
const KEEP_UP_AFTER_MS = 30_000;

/** Everything of one page's book: its state, and what reaches the outside for it. */
export interface Book {
  readonly store: AppStore;
  readonly services: Services;
}

const books = new Map<BookName, Book>();

/**
 * The book of a name, started when it is first asked for. A page has one: what React draws for the first time and
 * throws away, because something below has yet to be loaded, must not start a second one beside it.
 */
export function getBook(name: BookName): Book {
  const known = books.get(name);
  if (known) return known;
  const book = startBook(name);
  books.set(name, book);
  return book;
}

/** Starts a book on this device's storage, and begins to read it. */
function startBook(name: BookName): Book {
  const storage = openStorage(name);
  let remember: ReturnType<typeof setTimeout> | undefined;
  const channel = openTabChannel(name, (message) => {
    const { uids, steps, settings, queued, hub, ...talks } = message as Written;
    writer.sawQueued(queued);
    if (hub) void store.dispatch(readPairing());
    void store.dispatch(refreshFromStore(uids, steps, settings, talks));
    // What that page hasn't told when it is closed is told by this one.
    void store.dispatch(readTalkQueue(talks.months));
    if (queued.length > 0) exchanging.soon();
  });
  let isAsked = name !== 'cordialis';
  /** Once there is a card of one's own, the browser is asked to keep the storage; never twice. */
  const keepStorage = async () => {
    if (isAsked) return;
    isAsked = true;
    if ((await storage.getItem(KEYS.persistAsked)) !== null || (await isPersisted()) !== false) return;
    await storage.setMany({ [KEYS.persistAsked]: '1' });
    await askToPersist();
  };
  const writer = new BookWriter(name, storage, {
    onSaving: () => store.dispatch(savingChanged({ kind: 'saving' })),
    onSaved: (written) => {
      if (written.uids.length > 0) void keepStorage();
      store.dispatch(savingChanged({ kind: 'saved' }));
      channel.post(written);
      if (written.queued.length > 0 || written.settings || writer.talkQueue.size > 0) exchanging.soon();
      // A draft, a step, a talk changes no row.
      if (written.uids.length === 0 && !written.settings) return;
      clearTimeout(remember);
      remember = setTimeout(() => void store.dispatch(saveRowSnapshot()), REMEMBER_AFTER_MS);
    },
    onFailed: (message) => store.dispatch(savingChanged({ kind: 'failed', message })),
    onMerged: (merged) => store.dispatch(takeMerged(merged)),
    onSetAside: (names) => store.dispatch(recordsSetAside(names)),
  });
  const services: Services = {
    storage,
    writer,
    photos: new PhotoCache(storage, (key) => writer.waitingText(key)),
    search: startSearchWorker(),
    inspector: new InspectorWorker(),
    hub: hubClient,
    mergeCards: mergeInWorker,
    newUid,
    utcNow,
    nowMs,
    yieldToPage,
    ifAlone: (task, work) => ifTabLockFree(`${name}-${task}`, work),
    ...(name === 'cordialis-demo'
      ? { fetchFirstCards: fetchDemoCards, fetchFirstTalks: fetchDemoTalks, fetchFirstMail: fetchDemoMail }
      : {}),
  };
  const store = makeAppStore(services, checkArrivals);
  onPageLeave(
    () => writer.isBusy,
    () => void writer.flush(),
  );
  void store.dispatch(openBook());
  later(() => void store.dispatch(keepUp()), KEEP_UP_AFTER_MS);
  const exchanging = keepExchanging(store, services, name);
  return { store, services };
}
