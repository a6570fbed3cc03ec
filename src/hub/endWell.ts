import type { Server } from 'node:http';

import type { HubLog } from '@/hub/base';

/** How long what is under way may still take, in milliseconds. */
const GRACE_MS = 10_000;
/** How often connections that have nothing under way any more are looked for, in milliseconds. */
const LOOK_MS = 100;

/** What ends with the hub. */
export interface Ending {
  readonly servers: readonly Server[];
  /** Has whoever listens for changes go, to come back to another hub or later. */
  readonly tellListeners: () => void;
  /** What is closed when nothing is under way any more. */
  readonly close: () => Promise<void>;
  readonly log: HubLog;
  /** How long what is under way may still take, in milliseconds. */
  readonly graceMs?: number;
}

/** Ends a hub: it takes nothing new, finishes what is under way, and closes its store. @returns whether all was finished in time */
export async function endWell({
  servers,
  tellListeners,
  close,
  log,
  graceMs = GRACE_MS,
}: Ending): Promise<boolean> {
  let hasEnded = false;
  const ended = Promise.all(servers.map((server) => new Promise((resolve) => server.close(resolve)))).then(
    () => (hasEnded = true),
  );
  tellListeners();
  const since = performance.now();
  while (!hasEnded && performance.now() - since < graceMs) {
    for (const server of servers) server.closeIdleConnections();
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, LOOK_MS))]);
  }
  const isDone = hasEnded;
  if (!isDone) log.warn('cuts off what is still under way');
  for (const server of servers) server.closeAllConnections();
  await ended;
  await close();
  return isDone;
}
