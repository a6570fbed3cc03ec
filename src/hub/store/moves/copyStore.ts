import { createHash, type Hash } from 'node:crypto';

import type { Engine } from '../engines/engine';
import { type AnyDb, type Row, rowsOf } from '../schema/rowsOf';
import type { HubDb, HubTables } from '../schema/tables';

/** A table: the columns that tell its rows apart, and the one that the database counts, if there is one. */
interface Shape {
  readonly key: readonly [string, ...string[]];
  readonly counter?: string;
}

const byId: Shape = { key: ['id'], counter: 'id' };

/** All tables. */
const TABLES: Readonly<Record<keyof HubTables, Shape>> = {
  about: { key: ['name'] },
  accounts: { key: ['device'] },
  browsers: byId,
  calendars: { key: ['token'] },
  cards: { key: ['uid'] },
  changes: { key: ['seq'], counter: 'seq' },
  codes: { key: ['hash'] },
  devices: byId,
  directoryEntries: { key: ['uid'] },
  directoryLog: byId,
  directorySessions: { key: ['token'] },
  directoryUsers: byId,
  gone: { key: ['device', 'href'] },
  mails: byId,
  members: { key: ['list'] },
  memory: { key: ['device', 'uid'] },
  pictures: { key: ['id'] },
  records: { key: ['seq'], counter: 'seq' },
  sent: { key: ['browser', 'uid'] },
  settle: byId,
  shown: { key: ['shape', 'uid'] },
  standIns: { key: ['kind'] },
  syncs: byId,
  tries: { key: ['key'] },
};

/** What a table has: how many rows, and a hash over all of them in order. */
export interface Sum {
  readonly rows: number;
  /** SHA-256, in hexadecimal digits. */
  readonly hash: string;
}

/** What a store has, by table. */
export type Sums = Readonly<Record<string, Sum>>;

/** What else is done with a copy. */
export interface CopyOptions {
  /** Is told of each table. */
  readonly say?: (table: string, rows: number) => void;
  /** What is written with it, once it has been compared. */
  readonly finish?: (target: HubDb) => Promise<void>;
}

/**
 * Copies everything in a store to another, whose own rows go. What is read is of one moment, what is written stands as a whole or not at
 * all, and is read again and compared.
 *
 * @returns what was copied
 * @throws Error where something else than what was read has been written; then nothing was
 */
export async function copyStore(from: Engine, to: Engine, { say, finish }: CopyOptions = {}): Promise<Sums> {
  return from.atOnce((source) =>
    to.transact(async (target) => {
      await to.empty(target, Object.keys(TABLES));
      const sums: Record<string, Sum> = {};
      for (const [table, shape] of Object.entries(TABLES)) {
        const hash = createHash('sha256');
        let rows = 0;
        for await (const some of rowsOf(source, table, shape.key)) {
          await (target as unknown as AnyDb).insertInto(table).values(some).execute();
          note(hash, some);
          rows += some.length;
        }
        if (shape.counter !== undefined)
          await to.setCounter(
            target,
            table,
            shape.counter,
            await from.counterOf(source, table, shape.counter),
          );
        sums[table] = { rows, hash: hash.digest('hex') };
        say?.(table, rows);
      }
      const written = await sumsIn(target);
      for (const [table, { rows, hash }] of Object.entries(sums))
        if (written[table]?.rows !== rows || written[table]?.hash !== hash)
          throw new Error(`the table ${table} isn’t the same in both stores; nothing was moved`);
      await finish?.(target);
      return sums;
    }),
  );
}

/** What a store has, by table. @param db - the store, or a transaction on it */
export async function sumsIn(db: HubDb): Promise<Sums> {
  const sums: Record<string, Sum> = {};
  for (const [table, shape] of Object.entries(TABLES)) {
    const hash = createHash('sha256');
    let rows = 0;
    for await (const some of rowsOf(db, table, shape.key)) {
      note(hash, some);
      rows += some.length;
    }
    sums[table] = { rows, hash: hash.digest('hex') };
  }
  return sums;
}

function note(hash: Hash, rows: readonly Row[]): void {
  // The databases may give columns in another order, as they were added.
  for (const row of rows) hash.update(`${JSON.stringify(Object.entries(row).toSorted())}\n`);
}
