/** A way for the open pages of one book to tell each other what happened. */
export interface TabChannel {
  post(message: unknown): void;
  close(): void;
}

/** Opens the channel of a name; `listen` hears the other pages, not this one. */
export function openTabChannel(name: string, listen: (message: unknown) => void): TabChannel {
  if (typeof BroadcastChannel === 'undefined') return { post: () => undefined, close: () => undefined };
  const channel = new BroadcastChannel(name);
  channel.onmessage = (event: MessageEvent<unknown>) => listen(event.data);
  return { post: (message) => channel.postMessage(message), close: () => channel.close() };
}

/** Runs `work` while no other page of this browser holds the lock of that name. */
export async function withTabLock<T>(name: string, work: () => Promise<T>): Promise<T> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return work();
  return navigator.locks.request(name, work) as Promise<T>;
}

/** Runs `work` unless another page of this browser holds the lock of that name. @returns undefined where one does */
export async function ifTabLockFree<T>(name: string, work: () => Promise<T>): Promise<T | undefined> {
  if (typeof navigator === 'undefined' || !('locks' in navigator)) return work();
  return navigator.locks.request(name, { ifAvailable: true }, (lock) =>
    lock ? work() : Promise.resolve(undefined),
  ) as Promise<T | undefined>;
}
