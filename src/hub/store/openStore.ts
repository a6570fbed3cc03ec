import { mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { LibsqlDialect } from '@libsql/kysely-libsql';
import { Kysely, sql } from 'kysely';

import { migrate } from './migrations';
import type { HubTables } from './schema';
import { keepKey } from './seal';

/** The hub's store, or a transaction on it. */
export type HubDb = Kysely<HubTables>;

/**
 * Opens the store in a folder, and makes it where there is none. What was answered is on the disk: the log is written
 * ahead and synchronised with every transaction.
 *
 * @param folder - made where it is missing
 */
export async function openStore(folder: string): Promise<HubDb> {
  mkdirSync(folder, { recursive: true });
  const db = new Kysely<HubTables>({ dialect: new LibsqlDialect({ url: `file:${join(folder, 'hub.db')}` }) });
  await sql`pragma journal_mode = wal`.execute(db);
  await sql`pragma synchronous = full`.execute(db);
  await migrate(db);
  keepKey(db, folder);
  return db;
}

let turn: Promise<unknown> = Promise.resolve();

/** Does work that writes as one transaction, one after the other: SQLite has one writer. */
export function inTransaction<T>(db: HubDb, work: (db: HubDb) => Promise<T>): Promise<T> {
  const done = turn.then(() => db.transaction().execute(work));
  turn = done.catch(() => undefined);
  return done;
}

/** Copies the store as it is at this moment into another file, while it is in use. */
export async function backUpStore(db: HubDb, path: string): Promise<void> {
  await sql`vacuum into ${path}`.execute(db);
}
