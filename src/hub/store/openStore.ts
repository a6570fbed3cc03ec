import { chmodSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { LibsqlDialect } from '@libsql/kysely-libsql';
import { Kysely, sql } from 'kysely';

import { openEpochs } from './epochs';
import { migrate } from './migrations';
import type { HubDb, HubTables } from './schema';
import { keepKey } from './seal';
import { inWords } from './storeFault';

/** Nobody else on the machine reads what the hub keeps. */
const OWNER_ONLY = 0o700;
/** How long one connection waits while the other writes, in milliseconds. */
const BUSY_MS = 10_000;
/** The connection that writes: reads go on beside it, on the previous state. */
const writers = new WeakMap<HubDb, HubDb>();

/**
 * Opens the store in a folder, creating it if needed. What was answered is on the disk: the write-ahead log is
 * synchronised with every transaction.
 *
 * @param folder - made where it is missing
 */
export async function openStore(folder: string): Promise<HubDb> {
  mkdirSync(folder, { recursive: true, mode: OWNER_ONLY });
  // A folder from before may be open to others. Where the system knows no such rights, this does nothing.
  chmodSync(folder, OWNER_ONLY);
  // Migrating leaves connections behind that lack the settings made here.
  const first = await connect(folder);
  await migrate(first);
  await first.destroy();
  const [db, writer] = [await connect(folder), await connect(folder)];
  keepKey(db, folder);
  writers.set(db, writer);
  await openEpochs(db);
  const destroy = db.destroy.bind(db);
  return Object.assign(db, {
    destroy: () => Promise.all([destroy(), writer.destroy()]).then(() => undefined),
  });
}

async function connect(folder: string): Promise<HubDb> {
  const db = connectTo(join(folder, 'hub.db'));
  await sql`pragma journal_mode = wal`.execute(db);
  await sql`pragma synchronous = full`.execute(db);
  await sql.raw(`pragma busy_timeout = ${BUSY_MS}`).execute(db);
  return db;
}

/** A file of SQLite as it is: nothing is made, migrated or set. */
export function connectTo(file: string): HubDb {
  return new Kysely<HubTables>({ dialect: new LibsqlDialect({ url: `file:${file}` }) });
}

let turn: Promise<unknown> = Promise.resolve();

/**
 * Runs writes in one transaction at a time: SQLite has one writer. Begun and ended by statements on a lasting
 * connection: the library's own transactions each leave a connection open.
 *
 * @throws StoreFault where the disk or somebody else at the store is in the way
 */
export function inTransaction<T>(db: HubDb, work: (db: HubDb) => Promise<T>): Promise<T> {
  const done = turn.then(() => transact(writerOf(db), work));
  turn = done.catch(() => undefined);
  return done;
}

/** The connection that writes. */
export function writerOf(db: HubDb): HubDb {
  return writers.get(db) ?? db;
}

async function transact<T>(writer: HubDb, work: (db: HubDb) => Promise<T>): Promise<T> {
  try {
    await sql`begin immediate`.execute(writer);
    const value = await work(writer);
    await sql`commit`.execute(writer);
    return value;
  } catch (error) {
    await sql`rollback`.execute(writer).catch(() => undefined);
    throw inWords(error);
  }
}

/** How long the store may take to say that it can be read and written, in milliseconds. */
const READY_MS = 5000;

/** Whether the store can be read and written. */
export async function isReady(db: HubDb): Promise<boolean> {
  let late: ReturnType<typeof setTimeout> | undefined;
  const tooLate = new Promise<false>((resolve) => (late = setTimeout(() => resolve(false), READY_MS)));
  const works = inTransaction(db, (store) =>
    store
      .insertInto('about')
      .values({ name: 'ready', value: '' })
      .onConflict((conflict) => conflict.column('name').doUpdateSet({ value: '' }))
      .execute(),
  ).then(
    () => true,
    () => false,
  );
  return Promise.race([works, tooLate]).finally(() => clearTimeout(late));
}

/** Copies the store in its current state to another file, while it is in use. */
export async function backUpStore(db: HubDb, path: string): Promise<void> {
  await sql`vacuum into ${path}`.execute(db);
}
