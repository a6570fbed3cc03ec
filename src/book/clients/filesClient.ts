import { proxy, wrap } from 'comlink';

import type { Card } from '@/core/card';

import type { FilesApi, Progress } from '../workers/files';

/** A piece of work in a worker of its own, which ends with it. */
export interface Job<T> {
  readonly result: Promise<T>;
  /** Ends the work at once; the result is then rejected. */
  stop(): void;
}

/** Reads the bytes of a file into cards. */
export function readFileInWorker(bytes: Uint8Array, onProgress: Progress) {
  return runJob((api) => api.read(bytes, proxy(onProgress)));
}

/** Writes cards as the text of a file. */
export function writeFileInWorker(cards: readonly Card[], formatId: string, onProgress: Progress) {
  return runJob((api) => api.write(cards, formatId, proxy(onProgress)));
}

type Remote = ReturnType<typeof wrap<FilesApi>>;

function runJob<T>(work: (api: Remote) => Promise<T>): Job<T> {
  const worker = new Worker(new URL('../workers/files', import.meta.url));
  let stop = () => worker.terminate();
  const result = new Promise<T>((resolve, reject) => {
    stop = () => {
      worker.terminate();
      reject(new Error('stopped'));
    };
    worker.onerror = (event) => reject(new Error(event.message));
    work(wrap<FilesApi>(worker)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { result, stop: () => stop() };
}
