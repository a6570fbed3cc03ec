import { chmodSync, mkdirSync } from 'node:fs';

import { setAbout } from './about';
import type { Engine, Settle } from './engines/engine';
import { openSqlite } from './engines/sqlite/openSqlite';
import { openEpochs } from './epochs';
import type { HubDb } from './schema/tables';
import { keepKey } from './seal';
import { Writes } from './Writes';

/** Nobody else on the machine reads what the hub keeps. */
const OWNER_ONLY = 0o700;

interface Open {
  readonly engine: Engine;
  readonly writes: Writes;
}

const stores = new WeakMap<HubDb, Open>();

/**
 * Opens a store, making it where there is none. What was answered is on the disk.
 *
 * @param folder - the data folder: the store's key is there, and the store itself unless it lies elsewhere; made where it is missing
 * @param address - of a PostgreSQL database, postgres://…; without it the store is a file of SQLite
 */
export async function openStore(folder: string, address?: string): Promise<HubDb> {
  mkdirSync(folder, { recursive: true, mode: OWNER_ONLY });
  // A folder from before may be open to others. Where the system knows no such rights, this does nothing.
  chmodSync(folder, OWNER_ONLY);
  const { db, close } = await openEngine(folder, address, async (engine) => {
    stores.set(engine.db, { engine, writes: new Writes(engine) });
    await keepKey(engine.db, folder, address !== undefined);
    await openEpochs(engine.db);
  });
  return Object.assign(db, { destroy: close });
}

async function openEngine(folder: string, address: string | undefined, settle: Settle): Promise<Engine> {
  if (address === undefined) return openSqlite(folder, settle);
  // Most hubs never read it.
  const { openPostgres } = await import('./engines/postgres/openPostgres');
  return openPostgres(address, settle);
}

/** Where the store lies, as CORDIALIS_STORE says it; undefined for the data folder. */
export function storeAddress(env: Readonly<Record<string, string | undefined>>): string | undefined {
  const said = env['CORDIALIS_STORE'] ?? '';
  return said === '' ? undefined : said;
}

/** The database of an open store. @param db - the store itself, not a transaction */
export function engineOf(db: HubDb): Engine {
  return openOf(db).engine;
}

function openOf(db: HubDb): Open {
  const open = stores.get(db);
  if (!open) throw new Error('that is no store that has been opened');
  return open;
}

/**
 * Writes something as a whole or not at all, with nobody writing in between. Work does nothing slow: everybody else waits.
 *
 * @throws StoreFault where the disk, the database or somebody else at the store is in the way
 */
export function inTransaction<T>(db: HubDb, work: (store: HubDb) => Promise<T>): Promise<T> {
  return openOf(db).writes.do(work);
}

/** How many transactions of this hub wait for their turn, or are under way. */
export function waitingFor(db: HubDb): number {
  return openOf(db).writes.count;
}

/** Listens for changes, whichever hub makes them, until the returned function is called. */
export function onChange(db: HubDb, listen: (seq: number) => void): () => void {
  return engineOf(db).hear(listen);
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
