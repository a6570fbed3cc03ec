import { type AppStore, selectHub, selectReading, type Services } from '@/book/state';

import { exchange } from './exchange';

/** Changes that follow each other this closely are pushed together, in milliseconds. */
const GATHER_MS = 400;
/** How long after a failure it is retried, in milliseconds. */
const AGAIN_MS = 20_000;

/** Options for keeping the exchange going. */
export interface Exchanging {
  /** Exchanges soon; requests in the meantime are combined. */
  soon(): void;
}

/**
 * Keeps the exchange going while the page is open: after every change here, with every one there, and when the hub is
 * back.
 */
export function keepExchanging(store: AppStore, services: Services, bookName: string): Exchanging {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let token: string | undefined;
  let stopListening: (() => void) | undefined;
  let isRunning = false;
  let isAsked = false;
  const run = async () => {
    if (isRunning) {
      isAsked = true;
      return;
    }
    isRunning = true;
    isAsked = false;
    await store.dispatch(exchange(bookName));
    isRunning = false;
    const { fault, waiting } = selectHub(store.getState());
    if (isAsked) plan(0);
    else if (fault !== '' || waiting > 0) plan(AGAIN_MS);
  };
  const plan = (afterMs: number) => {
    if (selectHub(store.getState()).pairing === undefined) return;
    clearTimeout(timer);
    timer = setTimeout(() => void run(), afterMs);
  };
  const soon = () => plan(GATHER_MS);
  const listen = () => {
    const state = store.getState();
    const isReady = selectReading(state) === undefined;
    const wanted = isReady ? selectHub(state).pairing?.token : undefined;
    if (wanted === token) return;
    token = wanted;
    stopListening?.();
    stopListening = wanted === undefined ? undefined : services.hub.listen(wanted, soon);
    if (wanted !== undefined) plan(0);
  };
  store.subscribe(listen);
  listen();
  return { soon };
}
