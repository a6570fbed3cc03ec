import { type Kysely, Migrator, sql } from 'kysely';

import { type Step, STEPS } from './steps';
import type { AboutTable, HubDb, StoreKind } from './tables';

/** Where a store is migrated. */
export interface MigrationPlace {
  readonly kind: StoreKind;
  /** The schema of the database, where it has several. */
  readonly schema?: string;
  /** Other steps than the program's own, for tests. */
  readonly steps?: readonly Step[];
}

/** Kysely's names of its tables. */
const TABLE = 'kysely_migration';
/** Under which name a store says the last step that a hub has to know to go on with it. */
const BREAK = 'break';

interface Migrated {
  kysely_migration: { name: string; timestamp: string };
  about: AboutTable;
}

/**
 * Brings a store to the current schema, as a whole or not at all. One that a newer program has been at stays as it is where all that it
 * has done is to add.
 *
 * @throws Error for a store whose schema this program doesn't know
 */
export async function migrate(hub: HubDb, place: MigrationPlace): Promise<void> {
  const { steps = STEPS } = place;
  const db = hub as unknown as Kysely<Migrated>;
  const done = await doneIn(db, place, steps);
  const unknown = done.filter((name) => !steps.some((step) => step.name === name));
  if (unknown.length > 0) {
    const last = await db.selectFrom('about').select('value').where('name', '=', BREAK).executeTakeFirst();
    if (steps.some(({ name }) => name === last?.value)) return;
    throw newerThan(unknown.at(-1) ?? '');
  }
  if (done.length === steps.length) return;
  const migrations = steps.map(({ name, up }) => [name, { up: (one: Kysely<never>) => up(one, place.kind) }]);
  const migrator = new Migrator({
    db,
    provider: { getMigrations: async () => Object.fromEntries(migrations) },
    ...(place.schema === undefined ? {} : { migrationTableSchema: place.schema }),
  });
  const { error } = await migrator.migrateToLatest();
  if (error !== undefined) throw error;
  await noteBreak(db, steps);
  // Programs from before Kysely counted the steps go by this number, and refuse a larger one than their own.
  if (place.kind === 'sqlite') await sql.raw(`pragma user_version = ${steps.length}`).execute(db);
}

/** The steps that a store has behind it. */
async function doneIn(
  db: Kysely<Migrated>,
  place: MigrationPlace,
  steps: readonly Step[],
): Promise<string[]> {
  const tables = await db.introspection.getTables({ withInternalKyselyTables: true });
  const has = tables.some(({ name, schema }) => name === TABLE && (place.schema ?? schema) === schema);
  if (!has) return place.kind === 'sqlite' ? adopt(db, steps) : [];
  const rows = await db.selectFrom(TABLE).select('name').orderBy('name').execute();
  return rows.map(({ name }) => name);
}

/** The steps of a store of SQLite from before Kysely counted them, told to it. */
async function adopt(db: Kysely<Migrated>, steps: readonly Step[]): Promise<string[]> {
  const { rows } = await sql<{ user_version: number }>`pragma user_version`.execute(db);
  const version = rows[0]?.user_version ?? 0;
  if (version > steps.length) throw newerThan(String(version));
  const names = steps.slice(0, version).map(({ name }) => name);
  if (names.length === 0) return [];
  await db.transaction().execute(async (store) => {
    await store.schema
      .createTable(TABLE)
      .addColumn('name', 'varchar(255)', (column) => column.notNull().primaryKey())
      .addColumn('timestamp', 'varchar(255)', (column) => column.notNull())
      .execute();
    const timestamp = new Date().toISOString();
    await store
      .insertInto(TABLE)
      .values(names.map((name) => ({ name, timestamp })))
      .execute();
  });
  return names;
}

async function noteBreak(db: Kysely<Migrated>, steps: readonly Step[]): Promise<void> {
  const value = steps.findLast(({ isBreak }) => isBreak)?.name;
  if (value === undefined) return;
  await db
    .insertInto('about')
    .values({ name: BREAK, value })
    .onConflict((conflict) => conflict.column('name').doUpdateSet({ value }))
    .execute();
}

function newerThan(what: string): Error {
  return new Error(`the hub's store was written by a newer version of the program (${what})`);
}
