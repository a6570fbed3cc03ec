import { sql } from 'kysely';

import { migrate } from '../../schema/migrate';
import type { HubDb } from '../../schema/tables';
import type { Engine, Settle } from '../engine';
import { Jobs } from '../Jobs';
import { lockKey, readAddress } from './address';
import { connectTo } from './connect';
import { AT_WORK, Presence } from './Presence';

/**
 * A store in a schema of a PostgreSQL database, made where there is none. Any number of hubs may be at it: one transaction writes at a
 * time, so that the numbers of changes are seen in their order, and a cursor means the same to whoever asks.
 *
 * @param address - postgres://…
 * @param settle - is done before another hub opens the store
 * @throws StoreFault where the database is away
 */
export async function openPostgres(address: string, settle: Settle = async () => undefined): Promise<Engine> {
  const place = readAddress(address);
  const db = connectTo(place);
  const close = db.destroy.bind(db);
  const presence = new Presence(place);
  const jobs = new Jobs();
  // Held until the end of the transaction, when what it has written can be seen.
  const begin = sql.raw(`begin; select pg_advisory_xact_lock(${lockKey(place, 'the book')})`);
  const engine: Engine = {
    kind: 'postgres',
    db,
    transact: (work) =>
      db.connection().execute(async (connection) => {
        try {
          await begin.execute(connection);
          const value = await work(connection);
          const { rows } = await sql<{ command: string }>`commit`.execute(connection);
          // A statement that failed and was passed over: nothing of the transaction stands.
          if (rows[0]?.command === 'ROLLBACK') throw new Error('the transaction had failed before its end');
          return value;
        } catch (error) {
          await sql`rollback`.execute(connection).catch(() => undefined);
          throw error;
        }
      }),
    tell: async (store, seq) => {
      await sql`select pg_notify(${Presence.channelOf(place)}, ${String(seq)})`.execute(store);
    },
    hear: (listen) => presence.hear(listen),
    alone: (job, work) =>
      jobs.alone(job, async () => {
        if (!(await presence.take(job))) return undefined;
        try {
          return await work();
        } finally {
          await presence.giveBack(job);
        }
      }),
    atOnce: (read) =>
      db.transaction().setIsolationLevel('repeatable read').setAccessMode('read only').execute(read),
    empty: async (store, tables) => {
      for (const table of tables) {
        await sql`alter table ${sql.table(table)} disable trigger user`.execute(store);
        await sql`delete from ${sql.table(table)}`.execute(store);
        await sql`alter table ${sql.table(table)} enable trigger user`.execute(store);
      }
    },
    counterOf: async (store, table, column) => {
      const { rows } = await sql<{ last: number | null }>`
        select pg_sequence_last_value(pg_get_serial_sequence(${quoted(table)}, ${column})::regclass) as last`.execute(
        store,
      );
      return rows[0]?.last ?? 0;
    },
    setCounter: async (store, table, column, last) => {
      // Before the first number is given, none is the last.
      await sql`select setval(pg_get_serial_sequence(${quoted(table)}, ${column}), ${Math.max(last, 1)}, ${last > 0})`.execute(
        store,
      );
    },
    octets: async () => {
      const { rows } = await sql<{ octets: number | null }>`
        select sum(pg_total_relation_size(format('%I.%I', schemaname, tablename)::regclass)) as octets
        from pg_tables where schemaname = ${place.schema}`.execute(db);
      return rows[0]?.octets ?? 0;
    },
    hold: () => presence.take(AT_WORK),
    problems: async () => {
      const off = ['fsync', 'full_page_writes', 'synchronous_commit'];
      const { rows } = await sql<{ name: string }>`
        select name from pg_settings where name in (${sql.join(off)}) and setting = 'off'`.execute(db);
      return rows.map(({ name }) => `the database has ${name} off: what it has answered may be lost`);
    },
    close: async () => {
      await presence.end();
      await close();
    },
  };
  try {
    await presence.begin();
    await presence.inTurn('opening', async () => {
      await sql`create schema if not exists ${sql.id(place.schema)}`.execute(db);
      await checkEncoding(db);
      await migrate(db, { kind: 'postgres', schema: place.schema });
      await settle(engine);
    });
    return engine;
  } catch (error) {
    await engine.close();
    throw error;
  }
}

/** The name of a table, as it stands in a text for the database. */
function quoted(table: string): string {
  return `"${table}"`;
}

/** @throws Error in words for a database that can't hold every script */
async function checkEncoding(db: HubDb): Promise<void> {
  const { rows } = await sql<{ server_encoding: string }>`show server_encoding`.execute(db);
  const encoding = rows[0]?.server_encoding;
  if (encoding !== 'UTF8')
    throw new Error(
      `the database in CORDIALIS_STORE is in ${encoding ?? 'an unknown encoding'}; one in UTF8 is needed`,
    );
}
