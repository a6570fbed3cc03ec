import { chmodSync, existsSync, renameSync, rmSync } from 'node:fs';

import { sql } from 'kysely';

import { setAbout } from '../about';
import { connectTo } from '../engines/sqlite/connectTo';
import type { HubDb } from '../schema/tables';
import { keyOf } from '../seal';
import { backUpStore } from './backUpStore';
import { sealKey } from './sealKey';

/** Under which name a backup has its sealed key. */
export const SEALED_KEY = 'sealedKey';

/**
 * Makes a backup while the store is in use: a file of SQLite with everything in it, and with the store's key, sealed by a
 * passphrase. Whoever has the file reads the cards; only with the passphrase the passwords of other servers too.
 *
 * @throws RangeError where there is such a file
 */
export async function makeBackup(db: HubDb, path: string, passphrase: string): Promise<void> {
  if (existsSync(path)) throw new RangeError(`there is a file at ${path} already`);
  const half = `${path}.half`;
  rmSync(half, { force: true });
  try {
    await backUpStore(db, half);
    chmodSync(half, 0o600);
    const copy = connectTo(half);
    // One file, without what SQLite keeps beside it.
    await sql`pragma journal_mode = delete`.execute(copy);
    await sql`pragma synchronous = full`.execute(copy);
    await setAbout(copy, SEALED_KEY, await sealKey(keyOf(db), passphrase));
    await copy.destroy();
    renameSync(half, path);
  } catch (error) {
    for (const file of [half, `${half}-journal`]) rmSync(file, { force: true });
    throw error;
  }
}
