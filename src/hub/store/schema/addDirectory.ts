import { type Kysely, sql } from 'kysely';

import type { StoreKind } from './tables';

/** The common directory: who has access, who is signed in, the entries, and the log that can only grow. */
export async function addDirectory(db: Kysely<never>, kind: StoreKind): Promise<void> {
  const { schema } = db;
  await schema
    .createTable('directoryUsers')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('name', 'text', (column) => column.notNull().unique())
    .addColumn('role', 'text', (column) => column.notNull())
    .addColumn('salt', 'text', (column) => column.notNull())
    .addColumn('hash', 'text', (column) => column.notNull())
    .addColumn('created', 'text', (column) => column.notNull())
    .execute();
  await schema
    .createTable('directorySessions')
    .addColumn('token', 'text', (column) => column.primaryKey())
    .addColumn('user', 'integer', (column) => column.notNull())
    .addColumn('until', 'text', (column) => column.notNull())
    .execute();
  await schema
    .createTable('directoryEntries')
    .addColumn('uid', 'text', (column) => column.primaryKey())
    .addColumn('card', 'text', (column) => column.notNull())
    .addColumn('inside', 'integer', (column) => column.notNull())
    .addColumn('hidden', 'integer', (column) => column.notNull())
    .addColumn('validFrom', 'text')
    .addColumn('validTo', 'text')
    .execute();
  await schema
    .createTable('directoryLog')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('who', 'text', (column) => column.notNull())
    .addColumn('act', 'text', (column) => column.notNull())
    .addColumn('uid', 'text')
    .addColumn('says', 'text', (column) => column.notNull())
    .addColumn('before', 'text')
    .addColumn('after', 'text')
    .execute();
  for (const statement of GUARDS[kind]) await sql.raw(statement).execute(db);
}

const REFUSED = 'the log of the directory is not changed';

/** What refuses to change a line of the log or to delete it. */
const GUARDS: Readonly<Record<StoreKind, readonly string[]>> = {
  sqlite: ['update', 'delete'].map(
    (act) =>
      `create trigger "directoryLog_${act}" before ${act} on "directoryLog" begin select raise(abort, '${REFUSED}'); end`,
  ),
  postgres: [
    `create function "directoryLog_refuse"() returns trigger language plpgsql as $$ begin raise exception '${REFUSED}'; end $$`,
    `create trigger "directoryLog_kept" before update or delete or truncate on "directoryLog" for each statement execute function "directoryLog_refuse"()`,
  ],
};
