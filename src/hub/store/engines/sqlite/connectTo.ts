import type * as Packaged from '@photostructure/sqlite';
import { Kysely, SqliteAdapter, type SqliteDatabase, SqliteDialect, type SqliteStatement } from 'kysely';

import type { HubTables } from '../../schema/tables';
import { checkText } from '../storeFault';
import { inWords } from './faults';

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

/** Does something with the database; a fault whose reason is outside comes in words. */
function said<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    throw inWords(error);
  }
}

/** The interface that Kysely expects. */
function asKysely(db: InstanceType<Sqlite['DatabaseSync']>): SqliteDatabase {
  const bound = (parameters: readonly unknown[]) =>
    parameters.map((one) => {
      checkText(one);
      return one === undefined ? null : one;
    }) as never[];
  const kept = new Map<string, SqliteStatement>();
  const make = (text: string): SqliteStatement => {
    const statement = said(() => db.prepare(text));
    return {
      reader: statement.columns().length > 0,
      all: (parameters) => said(() => statement.all(...bound(parameters))),
      run: (parameters) => said(() => statement.run(...bound(parameters))),
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
