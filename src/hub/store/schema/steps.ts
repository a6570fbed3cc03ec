import { type Kysely, type SchemaModule, sql } from 'kysely';

import { addDirectory } from './addDirectory';
import { addMails } from './addMails';
import { addRecords } from './addRecords';
import { addShared } from './addShared';
import { addShown } from './addShown';
import type { StoreKind } from './tables';

/** A step from one schema to the next. */
export interface Step {
  /** Its place among all of them, and what it is about. */
  readonly name: string;
  readonly up: (db: Kysely<never>, kind: StoreKind) => Promise<unknown>;
  /**
   * Whether hubs that don't know it yet can't go on with what it leaves: false where it only adds what they never look at, so that
   * they can be renewed one after the other.
   */
  readonly isBreak: boolean;
}

/** From an empty store to the current schema, in order; released ones never change. */
const FIRST: readonly [name: string, up: Step['up']][] = [
  ['0001 cards and devices', addCards],
  ['0002 browsers, syncs, servers', addBrowsersAndMore],
  ['0003 directory', addDirectory],
  ['0004 records', addRecords],
  ['0005 mails', addMails],
  [
    '0006 addresses that answer for others',
    ({ schema }) => schema.alterTable('gone').addColumn('uid', 'text').execute(),
  ],
  ['0007 scopes', nameScopes],
  ['0008 what a store says of itself', addAbout],
  // Whether a device has a card under a uid of its own is asked with each that it puts.
  [
    '0009 uids of devices',
    ({ schema }) =>
      schema.createIndex('memory_device_uid').on('memory').columns(['device', 'deviceUid']).execute(),
  ],
  [
    '0010 heads of simulated devices',
    ({ schema }) => schema.alterTable('standIns').addColumn('head', 'text').execute(),
  ],
];

/** All steps. Of the first ones, from before hubs could be renewed one after the other, each is a break. */
export const STEPS: readonly Step[] = [
  ...FIRST.map(([name, up]) => ({ name, up, isBreak: true })),
  { name: '0011 what hubs share', up: addShared, isBreak: false },
  { name: '0012 what devices see', up: addShown, isBreak: true },
];

async function addAbout({ schema }: Kysely<never>): Promise<void> {
  await schema
    .createTable('about')
    .addColumn('name', 'text', (column) => column.primaryKey())
    .addColumn('value', 'text', (column) => column.notNull())
    .execute();
}

async function addCards({ schema }: Kysely<never>): Promise<void> {
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
}

async function addBrowsersAndMore(db: Kysely<never>): Promise<void> {
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
}

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
  const devices = db as unknown as Kysely<{ devices: { id: number; list: string | null; lists: string } }>;
  for (const { id, list } of await devices.selectFrom('devices').select(['id', 'list']).execute())
    if (list !== null)
      await devices
        .updateTable('devices')
        .set({ lists: JSON.stringify([list]) })
        .where('id', '=', id)
        .execute();
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
