import type { Kysely } from 'kysely';

/** What browsers share beside the cards, which sync a change belongs to, and passports that say more. */
export async function addRecords({ schema }: Kysely<never>): Promise<void> {
  await schema
    .createTable('records')
    .addColumn('seq', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('kind', 'text', (column) => column.notNull())
    .addColumn('id', 'text', (column) => column.notNull())
    .addColumn('value', 'text')
    .addColumn('months', 'text', (column) => column.notNull())
    .addColumn('browser', 'integer')
    .addUniqueConstraint('records_id', ['kind', 'id'])
    .execute();
  await schema.alterTable('changes').addColumn('sync', 'integer').execute();
  await schema.createIndex('changes_sync').on('changes').column('sync').execute();
  await schema.alterTable('syncs').addColumn('undone', 'text').execute();
  await schema.alterTable('devices').addColumn('photoSide', 'integer').execute();
  for (const name of ['own', 'directory'])
    await schema
      .alterTable('devices')
      .addColumn(name, 'integer', (column) => column.notNull().defaultTo(0))
      .execute();
}
