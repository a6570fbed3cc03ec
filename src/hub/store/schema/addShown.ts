import { type Kysely, sql } from 'kysely';

import type { Card } from '@/core/card';

import { columnsOf } from './columnsOf';
import { putPicturesAside } from './pictures';
import { rowsOf } from './rowsOf';
import type { HubDb } from './tables';

/**
 * What devices see is in the store and no longer in memory: cards say what they are looked up by, what a device was served is a number of
 * a change.
 */
export async function addShown(db: Kysely<never>): Promise<void> {
  const { schema } = db;
  for (const name of ['href', 'kind', 'alike', 'place'])
    await schema
      .alterTable('cards')
      .addColumn(name, 'text', (column) => column.notNull().defaultTo(''))
      .execute();
  await fillColumns(db as unknown as HubDb);
  await schema.createIndex('cards_href').on('cards').column('href').execute();
  await schema.createIndex('cards_alike').on('cards').column('alike').execute();
  // All that is told of cards that haven't changed is in it: their texts are long.
  await schema
    .createIndex('cards_told')
    .on('cards')
    .columns(['place', 'uid', 'seq', 'href', 'kind'])
    .execute();
  await schema.createIndex('cards_kind').on('cards').column('kind').execute();
  await schema
    .createTable('shown')
    .addColumn('shape', 'text', (column) => column.notNull())
    .addColumn('place', 'text', (column) => column.notNull())
    .addColumn('uid', 'text', (column) => column.notNull())
    .addColumn('seq', 'integer', (column) => column.notNull())
    .addColumn('etag', 'text', (column) => column.notNull())
    .addColumn('marks', 'text', (column) => column.notNull())
    .addColumn('asked', 'text')
    .addColumn('text', 'text')
    .addPrimaryKeyConstraint('shown_key', ['shape', 'uid'])
    .execute();
  // In the order of the other index, so that what is read together lies together.
  await schema
    .createIndex('shown_told')
    .on('shown')
    .columns(['shape', 'place', 'uid', 'seq', 'etag', 'marks'])
    .execute();
  await schema.createIndex('shown_uid').on('shown').column('uid').execute();
  await schema.alterTable('memory').addColumn('seq', 'integer').execute();
  await schema
    .createTable('pictures')
    .addColumn('id', 'text', (column) => column.primaryKey())
    .addColumn('uri', 'text', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .execute();
  for (const [table, key, column] of WITH_CARDS) await putAside(db as unknown as HubDb, table, key, column);
}

/** Columns with cards, and what their rows are told apart by. */
const WITH_CARDS = [
  ['cards', ['uid'], 'card'],
  ['changes', ['seq'], 'before'],
  ['changes', ['seq'], 'after'],
  ['memory', ['device', 'uid'], 'card'],
  ['sent', ['browser', 'uid'], 'card'],
] as const;

/** Puts the pictures of all cards in a column aside. */
async function putAside(db: HubDb, table: string, key: readonly string[], column: string): Promise<void> {
  for await (const rows of rowsOf(db, table, key, { columns: [column], text: '"data:' }))
    for (const row of rows) {
      const aside = await putPicturesAside(db, JSON.parse(String(row[column])) as Card);
      const isIt = sql.join(
        key.map((name) => sql`${sql.ref(name)} = ${row[name]}`),
        sql` and `,
      );
      await sql`update ${sql.table(table)} set ${sql.ref(column)} = ${JSON.stringify(aside)} where ${isIt}`.execute(
        db,
      );
    }
}

async function fillColumns(db: HubDb): Promise<void> {
  for await (const rows of rowsOf(db, 'cards', ['uid']))
    for (const row of rows) {
      const uid = String(row['uid']);
      const columns = columnsOf(uid, JSON.parse(String(row['card'])) as Card);
      await db.updateTable('cards').set(columns).where('uid', '=', uid).execute();
    }
}
