import { EventEmitter } from 'node:events';
import { join } from 'node:path';

import { sql } from 'kysely';

import { migrate } from '../../schema/migrate';
import type { HubDb } from '../../schema/tables';
import type { Engine, Settle } from '../engine';
import { Jobs } from '../Jobs';
import { connectTo } from './connectTo';
import { isBusy } from './faults';
import { holdStore } from './holdStore';

/** The store in its folder; SQLite keeps others beside it. */
export const STORE_FILE = 'hub.db';
/** How long a write waits while another process writes, and how often it looks, in milliseconds. */
const [BUSY_MS, LOOK_MS] = [5000, 20];
/** How long SQLite itself waits, which nothing else is done in, in milliseconds. */
const WITHIN_MS = 50;

/** The same, with the connection that writes. */
export interface SqliteEngine extends Engine {
  readonly writer: HubDb;
}

/**
 * A store in a file of SQLite, made where there is none. What was answered is on the disk: the write-ahead log is synchronised with
 * every transaction.
 *
 * @param folder - there already
 * @param settle - is done before anybody else uses the store
 */
export async function openSqlite(
  folder: string,
  settle: Settle = async () => undefined,
): Promise<SqliteEngine> {
  // One connection writes: reads go on beside it, on the previous state.
  const writer = await connect(folder);
  await migrate(writer, { kind: 'sqlite' });
  const db = await connect(folder);
  const news = new EventEmitter();
  // Every open page of every browser listens.
  news.setMaxListeners(0);
  const jobs = new Jobs();
  let held: Awaited<ReturnType<typeof holdStore>>;
  const close = db.destroy.bind(db);
  /** What the transaction under way tells of. */
  let told: number | undefined;
  const engine: SqliteEngine = {
    ...{ kind: 'sqlite' as const, db, writer },
    transact: async (work) => {
      try {
        await begin(writer);
        told = undefined;
        const value = await work(writer);
        await sql`commit`.execute(writer);
        if (told !== undefined) news.emit('change', told);
        return value;
      } catch (error) {
        await sql`rollback`.execute(writer).catch(() => undefined);
        throw error;
      }
    },
    tell: async (_, seq) => void (told = seq),
    hear: (listen) => {
      news.on('change', listen);
      return () => news.off('change', listen);
    },
    alone: (job, work) => jobs.alone(job, work),
    atOnce: async (read) => {
      // On a connection of its own: others go on reading what is there now.
      const reader = await connect(folder);
      try {
        await sql`begin`.execute(reader);
        return await read(reader);
      } finally {
        await sql`rollback`.execute(reader).catch(() => undefined);
        await reader.destroy();
      }
    },
    empty: async (store, tables) => {
      const { rows } = await sql<{ name: string; sql: string }>`
        select name, sql from sqlite_master where type = 'trigger'`.execute(store);
      for (const { name } of rows) await sql`drop trigger ${sql.id(name)}`.execute(store);
      for (const table of tables) await sql`delete from ${sql.table(table)}`.execute(store);
      for (const { sql: made } of rows) await sql.raw(made).execute(store);
    },
    counterOf: async (store, table) => {
      const { rows } = await sql<{
        seq: number;
      }>`select seq from sqlite_sequence where name = ${table}`.execute(store);
      return rows[0]?.seq ?? 0;
    },
    setCounter: async (store, table, _, last) => {
      await sql`delete from sqlite_sequence where name = ${table}`.execute(store);
      await sql`insert into sqlite_sequence (name, seq) values (${table}, ${last})`.execute(store);
    },
    octets: async () => {
      const { rows } = await sql<{ octets: number }>`
        select page_count * page_size as octets from pragma_page_count(), pragma_page_size()`.execute(db);
      return rows[0]?.octets ?? 0;
    },
    hold: async () => {
      held ??= await holdStore(folder);
      return held !== undefined;
    },
    problems: async () => {
      const { rows } = await sql<{ integrity_check: string }>`pragma integrity_check`.execute(db);
      const said = rows.map(({ integrity_check: one }) => one);
      return said.filter((one) => one !== 'ok').map((one) => `the store is damaged: ${one}`);
    },
    close: async () => {
      await held?.();
      await close();
      await writer.destroy();
    },
  };
  try {
    await settle(engine);
    return engine;
  } catch (error) {
    await engine.close();
    throw error;
  }
}

async function connect(folder: string): Promise<HubDb> {
  const db = connectTo(join(folder, STORE_FILE));
  await sql`pragma journal_mode = wal`.execute(db);
  await sql`pragma synchronous = full`.execute(db);
  await sql.raw(`pragma busy_timeout = ${WITHIN_MS}`).execute(db);
  return db;
}

/**
 * Begins a transaction that writes, so that no other process can come in between what it has read and what it writes. While another
 * one does, everything else goes on.
 */
async function begin(writer: HubDb): Promise<void> {
  const since = performance.now();
  for (;;) {
    try {
      await sql`begin immediate`.execute(writer);
      return;
    } catch (error) {
      if (!isBusy(error) || performance.now() - since > BUSY_MS) throw error;
      await new Promise((resolve) => setTimeout(resolve, LOOK_MS));
    }
  }
}
