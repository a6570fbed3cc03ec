import type * as Packaged from '@photostructure/sqlite';
import { Kysely, SqliteAdapter, type SqliteDatabase, SqliteDialect, type SqliteStatement } from 'kysely';

import type { HubTables } from '../../schema/tables';
import { checkText } from '../storeFault';

/** What Node has built in from some version on, and a package brings with the same interface before. */
type Sqlite = Pick<typeof Packaged, 'DatabaseSync'>;

let loaded: Promise<Sqlite> | undefined;

/** Node's own SQLite where it is complete, else the package's. */
function load(): Promise<Sqlite> {
  loaded ??= loadNow();
  return loaded;
}

async function loadNow(): Promise<Sqlite> {
  const own = process.getBuiltinModule?.('node:sqlite') as
    (Sqlite & { StatementSync?: StatementClass }) | undefined;
  // Some versions can't say yet whether a statement gives rows.
  if (own?.StatementSync && 'columns' in own.StatementSync.prototype) return own;
  return import('@photostructure/sqlite');
}

interface StatementClass {
  readonly prototype: object;
}

/** SQLite changes a schema in a transaction as it does all else (sqlite.org/lang_transaction.html), which Kysely doesn't count on. */
class TransactionalAdapter extends SqliteAdapter {
  override get supportsTransactionalDdl(): boolean {
    return true;
  }
}

class TransactionalDialect extends SqliteDialect {
  override createAdapter(): SqliteAdapter {
    return new TransactionalAdapter();
  }
}

/** A file of SQLite as it is: nothing is made, migrated or set. One connection, whose statements run one after the other. */
export function connectTo(file: string): Kysely<HubTables> {
  return new Kysely<HubTables>({
    dialect: new TransactionalDialect({ database: async () => asKysely(await open(file)) }),
  });
}

async function open(file: string): Promise<InstanceType<Sqlite['DatabaseSync']>> {
  const { DatabaseSync: Database } = await load();
  return new Database(file);
}

/** Statements kept ready on a connection: there are some hundred, and making one takes longer than running it. */
const KEPT = 300;

/** The interface that Kysely expects. */
function asKysely(db: InstanceType<Sqlite['DatabaseSync']>): SqliteDatabase {
  const bound = (parameters: readonly unknown[]) =>
    parameters.map((one) => {
      checkText(one);
      return one === undefined ? null : one;
    }) as never[];
  const kept = new Map<string, SqliteStatement>();
  const make = (text: string): SqliteStatement => {
    const statement = db.prepare(text);
    return {
      reader: statement.columns().length > 0,
      all: (parameters) => statement.all(...bound(parameters)),
      run: (parameters) => statement.run(...bound(parameters)),
      iterate: (parameters) => statement.iterate(...bound(parameters)) as IterableIterator<unknown>,
    };
  };
  return {
    close: () => db.close(),
    prepare: (text) => {
      const known = kept.get(text);
      if (known) return known;
      const made = make(text);
      // Migrations change what a statement means.
      if (!/^\s*(select|insert|update|delete|begin|commit|rollback)\b/i.test(text)) kept.clear();
      else {
        kept.set(text, made);
        const [oldest] = kept.keys();
        if (kept.size > KEPT && oldest !== undefined) kept.delete(oldest);
      }
      return made;
    },
  };
}

/** What SQLite calls some faults (sqlite.org/rescode.html): the primary ones. */
export const FAULTS = { busy: 5, locked: 6, readOnly: 8, io: 10, full: 13, cantOpen: 14 } as const;

/** The same as sqlite3_errstr says them, for where the package says nothing else. */
const WORDS: Readonly<Record<string, number>> = {
  'database is locked': FAULTS.busy,
  'database table is locked': FAULTS.locked,
  'attempt to write a readonly database': FAULTS.readOnly,
  'disk I/O error': FAULTS.io,
  'database or disk is full': FAULTS.full,
  'unable to open database file': FAULTS.cantOpen,
};

/** The primary code of an error of SQLite; undefined for any other. */
export function codeOf(error: unknown): number | undefined {
  // The native part makes errors of its own.
  if (typeof error !== 'object' || error === null) return undefined;
  const { code, errcode, message } = error as { readonly [K in 'code' | 'errcode' | 'message']?: unknown };
  if (typeof errcode === 'number') return errcode & 0xff;
  return code === 'ERR_SQLITE_ERROR' ? WORDS[String(message)] : undefined;
}
