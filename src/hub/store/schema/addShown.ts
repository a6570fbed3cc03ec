import type { Kysely } from 'kysely';

import type { Card } from '@/core/card';

import { columnsOf } from '../columnsOf';

/** Cards read at once. */
const AT_ONCE = 500;

/**
 * What devices see is in the store and no longer in memory: cards say what they are looked up by, what a device was served is a number of
 * a change.
 */
export async function addShown(db: Kysely<never>): Promise<void> {
  const { schema } = db;
  for (const name of ['href', 'kind', 'alike'])
    await schema
      .alterTable('cards')
      .addColumn(name, 'text', (column) => column.notNull().defaultTo(''))
      .execute();
  await fillColumns(db as unknown as Kysely<{ cards: CardRow }>);
  await schema.createIndex('cards_href').on('cards').column('href').execute();
  await schema.createIndex('cards_alike').on('cards').column('alike').execute();
  await schema.createIndex('cards_kind').on('cards').column('kind').execute();
  await schema
    .createTable('shown')
    .addColumn('shape', 'text', (column) => column.notNull())
    .addColumn('uid', 'text', (column) => column.notNull())
    .addColumn('seq', 'integer', (column) => column.notNull())
    .addColumn('etag', 'text', (column) => column.notNull())
    .addColumn('marks', 'text', (column) => column.notNull())
    .addColumn('asked', 'text')
    .addColumn('text', 'text')
    .addPrimaryKeyConstraint('shown_key', ['shape', 'uid'])
    .execute();
  await schema.createIndex('shown_uid').on('shown').column('uid').execute();
  await schema.alterTable('memory').addColumn('seq', 'integer').execute();
}

interface CardRow {
  uid: string;
  card: string;
  href: string;
  kind: string;
  alike: string;
}

async function fillColumns(db: Kysely<{ cards: CardRow }>): Promise<void> {
  for (let last = ''; ;) {
    const rows = await db
      .selectFrom('cards')
      .select(['uid', 'card'])
      .where('uid', '>', last)
      .orderBy('uid')
      .limit(AT_ONCE)
      .execute();
    for (const { uid, card } of rows)
      await db
        .updateTable('cards')
        .set(columnsOf(uid, JSON.parse(card) as Card))
        .where('uid', '=', uid)
        .execute();
    if (rows.length < AT_ONCE) return;
    last = rows.at(-1)?.uid ?? '';
  }
}
