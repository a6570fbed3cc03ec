import { type Kysely, type SchemaModule, sql } from 'kysely';

import { addDirectory } from './addDirectory';
import { addMails } from './addMails';
import { addRecords } from './addRecords';

/** Migrations from an empty store to the current schema, in order; released ones never change. */
export const MIGRATIONS: readonly ((db: Kysely<never>) => Promise<unknown>)[] = [
  async ({ schema }) => {
    await schema
      .createTable('cards')
      .addColumn('uid', 'text', (column) => column.primaryKey())
      .addColumn('card', 'text', (column) => column.notNull())
      .addColumn('seq', 'integer', (column) => column.notNull())
      .execute();
    await schema
      .createTable('changes')
      .addColumn('seq', 'integer', (column) => column.primaryKey().autoIncrement())
      .addColumn('uid', 'text', (column) => column.notNull())
      .addColumn('at', 'text', (column) => column.notNull())
      .addColumn('device', 'integer')
      .addColumn('before', 'text')
      .addColumn('after', 'text')
      .addColumn('says', 'text', (column) => column.notNull())
      .execute();
    await schema
      .createTable('devices')
      .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
      .addColumn('name', 'text', (column) => column.notNull().unique())
      .addColumn('user', 'text', (column) => column.notNull().unique())
      .addColumn('salt', 'text', (column) => column.notNull())
      .addColumn('hash', 'text', (column) => column.notNull())
      .addColumn('direction', 'text', (column) => column.notNull())
      .addColumn('tag', 'text')
      .addColumn('list', 'text')
      .addColumn('paused', 'integer', (column) => column.notNull())
      .addColumn('created', 'text', (column) => column.notNull())
      .addColumn('seen', 'text')
      .addColumn('since', 'integer', (column) => column.notNull())
      .addColumn('keeps', 'text', (column) => column.notNull())
      .execute();
    await schema
      .createTable('memory')
      .addColumn('device', 'integer', (column) => column.notNull())
      .addColumn('uid', 'text', (column) => column.notNull())
      .addColumn('href', 'text', (column) => column.notNull())
      .addColumn('card', 'text', (column) => column.notNull())
      .addColumn('deviceUid', 'text')
      .addPrimaryKeyConstraint('memory_key', ['device', 'uid'])
      .addUniqueConstraint('memory_href', ['device', 'href'])
      .execute();
    await schema
      .createTable('gone')
      .addColumn('device', 'integer', (column) => column.notNull())
      .addColumn('href', 'text', (column) => column.notNull())
      .addColumn('seq', 'integer', (column) => column.notNull())
      .addPrimaryKeyConstraint('gone_key', ['device', 'href'])
      .execute();
    await schema
      .createTable('settle')
      .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
      .addColumn('uid', 'text', (column) => column.notNull())
      .addColumn('device', 'integer', (column) => column.notNull())
      .addColumn('at', 'text', (column) => column.notNull())
      .addColumn('path', 'text', (column) => column.notNull())
      .addColumn('mine', 'text', (column) => column.notNull())
      .addColumn('theirs', 'text', (column) => column.notNull())
      .execute();
    await schema.createIndex('changes_uid').on('changes').column('uid').execute();
  },
  async (db) => {
    await addBrowsers(db.schema);
    await widenPassports(db);
    await renewSettle(db.schema);
    await addSyncs(db.schema);
    await addAccounts(db.schema);
    await db.schema
      .createTable('standIns')
      .addColumn('kind', 'text', (column) => column.primaryKey())
      .addColumn('state', 'text', (column) => column.notNull())
      .execute();
  },
  addDirectory,
  addRecords,
  addMails,
  ({ schema }) => schema.alterTable('gone').addColumn('uid', 'text').execute(),
  nameScopes,
  ({ schema }) =>
    schema
      .createTable('about')
      .addColumn('name', 'text', (column) => column.primaryKey())
      .addColumn('value', 'text', (column) => column.notNull())
      .execute(),
  // Whether a device has a card under a uid of its own is asked with each that it puts.
  ({ schema }) =>
    schema.createIndex('memory_device_uid').on('memory').columns(['device', 'deviceUid']).execute(),
  ({ schema }) => schema.alterTable('standIns').addColumn('head', 'text').execute(),
];

/** Browsers that have been paired, what they sent last of each card, and codes by which another one is paired. */
async function addBrowsers(schema: SchemaModule): Promise<void> {
  await schema
    .createTable('browsers')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('name', 'text', (column) => column.notNull())
    .addColumn('token', 'text', (column) => column.notNull().unique())
    .addColumn('created', 'text', (column) => column.notNull())
    .addColumn('seen', 'text')
    .execute();
  await schema
    .createTable('sent')
    .addColumn('browser', 'integer', (column) => column.notNull())
    .addColumn('uid', 'text', (column) => column.notNull())
    .addColumn('card', 'text')
    .addColumn('seq', 'integer', (column) => column.notNull())
    .addColumn('isSame', 'integer', (column) => column.notNull())
    .addPrimaryKeyConstraint('sent_key', ['browser', 'uid'])
    .execute();
  await schema
    .createTable('codes')
    .addColumn('hash', 'text', (column) => column.primaryKey())
    .addColumn('until', 'text', (column) => column.notNull())
    .execute();
  await schema.alterTable('changes').addColumn('browser', 'integer').execute();
}

/** A passport for several lists, who is on lists that fill themselves, and how much of each card goes through. */
async function widenPassports(db: Kysely<never>): Promise<void> {
  await db.schema
    .createTable('members')
    .addColumn('list', 'text', (column) => column.primaryKey())
    .addColumn('uids', 'text', (column) => column.notNull())
    .execute();
  const add = (name: string, type: 'integer' | 'text', value: number | string) =>
    db.schema
      .alterTable('devices')
      .addColumn(name, type, (column) => column.notNull().defaultTo(value))
      .execute();
  await add('notes', 'integer', 1);
  await add('photos', 'integer', 1);
  await add('groups', 'integer', 0);
  await add('lists', 'text', '[]');
  await sql`update devices set lists = json_array(list) where list is not null`.execute(db);
  await db.schema.alterTable('devices').dropColumn('list').execute();
}

/** Which cards a passport is for is said; it was told from its lists, so that taking the last one off let everything through. */
async function nameScopes(db: Kysely<never>): Promise<void> {
  await db.schema
    .alterTable('devices')
    .addColumn('scope', 'text', (column) => column.notNull().defaultTo('all'))
    .execute();
  await sql`update devices set scope = case when own = 1 then 'kept' when tag is not null then 'tag'
    when lists <> '[]' then 'lists' else 'all' end`.execute(db);
}

/** What is to settle says on both sides who it was; nothing was ever settled in the table as it was before. */
async function renewSettle(schema: SchemaModule): Promise<void> {
  await schema.dropTable('settle').execute();
  await schema
    .createTable('settle')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('uid', 'text', (column) => column.notNull())
    .addColumn('path', 'text', (column) => column.notNull())
    .addColumn('mine', 'text', (column) => column.notNull())
    .addColumn('mineBy', 'text')
    .addColumn('mineAt', 'text', (column) => column.notNull())
    .addColumn('theirs', 'text', (column) => column.notNull())
    .addColumn('theirsBy', 'text')
    .addColumn('theirsAt', 'text', (column) => column.notNull())
    .execute();
}

/** Migrates a store; each step is done as a whole or not at all. @throws Error for a store of a newer program */
export async function migrate<T>(db: Kysely<T>): Promise<void> {
  const { rows } = await sql<{ user_version: number }>`pragma user_version`.execute(db);
  const version = rows[0]?.user_version ?? 0;
  if (version > MIGRATIONS.length)
    throw new Error(`the hub's store was written by a newer version of the program (${version})`);
  for (const [i, step] of MIGRATIONS.entries()) {
    if (i < version) continue;
    await db.transaction().execute(async (transaction) => {
      await step(transaction as unknown as Kysely<never>);
      await sql.raw(`pragma user_version = ${i + 1}`).execute(transaction);
    });
  }
}

/** When devices were here, and what came and went. */
async function addSyncs(schema: SchemaModule): Promise<void> {
  await schema
    .createTable('syncs')
    .addColumn('id', 'integer', (column) => column.primaryKey().autoIncrement())
    .addColumn('device', 'integer', (column) => column.notNull())
    .addColumn('at', 'text', (column) => column.notNull())
    .addColumn('came', 'integer', (column) => column.notNull())
    .addColumn('went', 'integer', (column) => column.notNull())
    .addColumn('fault', 'text')
    .execute();
  await schema.createIndex('syncs_device').on('syncs').column('device').execute();
}

/** Servers of which the hub is a client. */
async function addAccounts(schema: SchemaModule): Promise<void> {
  await schema
    .createTable('accounts')
    .addColumn('device', 'integer', (column) => column.primaryKey())
    .addColumn('base', 'text', (column) => column.notNull())
    .addColumn('user', 'text', (column) => column.notNull())
    .addColumn('password', 'text', (column) => column.notNull())
    .addColumn('everyMinutes', 'integer', (column) => column.notNull())
    .addColumn('next', 'text', (column) => column.notNull())
    .addColumn('syncToken', 'text', (column) => column.notNull())
    .addColumn('etags', 'text', (column) => column.notNull())
    .execute();
}
