import { wrap } from 'comlink';

import type { SearchApi } from '@/book/workers';

/** The index of the book, wherever it lives: what the worker can be asked, every answer promised. */
export type SearchClient = {
  readonly [K in keyof SearchApi]: (
    ...asked: Parameters<SearchApi[K]>
  ) => Promise<Awaited<ReturnType<SearchApi[K]>>>;
};

/** The index in a worker, so that nothing blocks typing. */
export function startSearchWorker(): SearchClient {
  const worker = new Worker(new URL('../workers/search', import.meta.url));
  return wrap<SearchApi>(worker);
}
