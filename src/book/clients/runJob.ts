import { type Remote, wrap } from 'comlink';

/** A piece of work in a worker of its own, which ends with it. */
export interface Job<T> {
  readonly result: Promise<T>;
  /** Ends the work at once; the result is then rejected. */
  stop(): void;
}

/** Starts a worker for one piece of work and ends it after. */
export function runJob<Api, T>(start: () => Worker, work: (api: Remote<Api>) => Promise<T>): Job<T> {
  const worker = start();
  let stop = () => worker.terminate();
  const result = new Promise<T>((resolve, reject) => {
    stop = () => {
      worker.terminate();
      reject(new Error('stopped'));
    };
    worker.onerror = (event) => reject(new Error(event.message));
    work(wrap<Api>(worker)).then(resolve, reject);
  }).finally(() => worker.terminate());
  return { result, stop: () => stop() };
}
