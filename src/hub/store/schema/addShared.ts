import type { Kysely } from 'kysely';

/** What was in the memory or the files of one hub, and several hubs at a store have to know: tries, calendars, when visits end. */
export async function addShared({ schema }: Kysely<never>): Promise<void> {
  await schema
    .createTable('tries')
    .addColumn('key', 'text', (column) => column.primaryKey())
    .addColumn('count', 'integer', (column) => column.notNull())
    .addColumn('untilMs', 'integer', (column) => column.notNull())
    .execute();
  await schema
    .createTable('calendars')
    .addColumn('token', 'text', (column) => column.primaryKey())
    .addColumn('text', 'text', (column) => column.notNull())
    .execute();
  await schema.alterTable('syncs').addColumn('until', 'text').execute();
}
