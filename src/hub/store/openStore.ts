import { chmodSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';

import { sql } from 'kysely';

import { setAbout } from './about';
import { openEpochs } from './epochs';
import { migrate } from './migrations';
import type { HubDb } from './schema';
import { keepKey } from './seal';
import { codeOf, connectTo, FAULTS } from './sqlite';
import { inWords } from './storeFault';

/** The store in its folder; SQLite keeps others beside it. */
export const STORE_FILE = 'hub.db';
/** Nobody else on the machine reads what the hub keeps. */
const OWNER_ONLY = 0o700;
/** How long a write waits while another process writes, and how often it looks, in milliseconds. */
const [BUSY_MS, LOOK_MS] = [5000, 20];
/** How long SQLite itself waits, which nothing else is done in, in milliseconds. */
const WITHIN_MS = 50;
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
  const writer = await connect(folder);
  await migrate(writer);
  const db = await connect(folder);
  keepKey(db, folder);
  writers.set(db, writer);
  await openEpochs(db);
  const destroy = db.destroy.bind(db);
  return Object.assign(db, {
    destroy: () => Promise.all([destroy(), writer.destroy()]).then(() => undefined),
  });
}

async function connect(folder: string): Promise<HubDb> {
  const db = connectTo(join(folder, STORE_FILE));
  await sql`pragma journal_mode = wal`.execute(db);
  await sql`pragma synchronous = full`.execute(db);
  await sql.raw(`pragma busy_timeout = ${WITHIN_MS}`).execute(db);
  return db;
}

let turn: Promise<unknown> = Promise.resolve();

/**
 * Runs writes in one transaction at a time: SQLite has one writer. Begun as one that writes, so that no other process can come
 * in between what it has read and what it writes.
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
    await begin(writer);
    const value = await work(writer);
    await sql`commit`.execute(writer);
    return value;
  } catch (error) {
    await sql`rollback`.execute(writer).catch(() => undefined);
    throw inWords(error);
  }
}

/** Begins a transaction that writes; while another process does, everything else goes on. */
async function begin(writer: HubDb): Promise<void> {
  const since = performance.now();
  for (;;) {
    try {
      await sql`begin immediate`.execute(writer);
      return;
    } catch (error) {
      const isBusy = codeOf(error) === FAULTS.busy || codeOf(error) === FAULTS.locked;
      if (!isBusy || performance.now() - since > BUSY_MS) throw error;
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    }
  }
}

/** How long the store may take to say that it can be read and written, in milliseconds. */
const READY_MS = 5000;

/** Whether the store can be read and written. */
export async function isReady(db: HubDb): Promise<boolean> {
  let late: ReturnType<typeof setTimeout> | undefined;
  const tooLate = new Promise<false>((resolve) => (late = setTimeout(() => resolve(false), READY_MS)));
  const works = inTransaction(db, (store) => setAbout(store, 'ready', '')).then(
    () => true,
    () => false,
  );
  return Promise.race([works, tooLate]).finally(() => clearTimeout(late));
}

/** Copies the store in its current state to another file, while it is in use. */
export async function backUpStore(db: HubDb, path: string): Promise<void> {
  await sql`vacuum into ${path}`.execute(db);
}
