import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { sql } from 'kysely';

import { connectTo } from './connectTo';
import { isBusy } from './faults';

/** Locks that are held by this process. */
const held = new Set<unknown>();

/**
 * Holds a data folder for one hub, as long as its process lives: a lock of the system's on a file of its own, which no end of
 * a process leaves behind.
 *
 * @param folder - the data folder, made where it is missing
 * @returns gives it back; undefined where another process holds it
 */
export async function holdStore(folder: string): Promise<(() => Promise<void>) | undefined> {
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const lock = connectTo(join(folder, 'hub.lock'));
  try {
    await sql`pragma busy_timeout = 0`.execute(lock);
    await sql`begin exclusive`.execute(lock);
    // What nobody knows any more would be closed, and its lock with it.
    held.add(lock);
    return async () => {
      held.delete(lock);
      await sql`rollback`.execute(lock);
      await lock.destroy();
    };
  } catch (error) {
    await lock.destroy();
    if (isBusy(error)) return undefined;
    throw error;
  }
}
