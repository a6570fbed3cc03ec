/** @jest-environment node */
// From one schema to the next: stores from before Kysely counted the steps, programs that are older than the store, both databases.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { type Kysely, sql } from 'kysely';

import { openTestStore, testAddress } from '@/hub/testing';

import { readAddress } from '../engines/postgres/address';
import { connectTo } from '../engines/sqlite/connectTo';
import { findMemory } from '../memory';
import { engineOf, openStore } from '../openStore';
import { hrefFor } from './columnsOf';
import { migrate, type MigrationPlace } from './migrate';
import { type Step, STEPS } from './steps';
import type { HubDb } from './tables';

let folder = '';
beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'cordialis-migrate-'))));
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** A store of SQLite as a program left it that counted the steps by SQLite's number. */
async function leave(version: number): Promise<void> {
  const db = connectTo(join(folder, 'hub.db'));
  for (const { up } of STEPS.slice(0, version)) await up(db as unknown as Kysely<never>, 'sqlite');
  await sql.raw(`pragma user_version = ${version}`).execute(db);
  await sql`insert into cards (uid, card, seq) values ('ada', '{}', 1)`.execute(db);
  await db.destroy();
}

for (const version of [1, 4, 10])
  test(`a store that has ${version} steps behind it goes the rest, and keeps what it has`, async () => {
    await leave(version);
    for (let start = 0; start < 2; start += 1) {
      const db = await openStore(folder);
      expect(await db.selectFrom('cards').select('uid').execute()).toEqual([{ uid: 'ada' }]);
      expect(await stepsOf(db)).toEqual(STEPS.map(({ name }) => name));
      await db.selectFrom('tries').selectAll().execute();
      await db.destroy();
    }
  });

test('pictures of all versions of cards are put aside, each once, and cards say what they are looked up by', async () => {
  await leave(11);
  const uri = `data:image/png;base64,${'abcd'.repeat(500)}`;
  const card = { uid: 'bo', kind: 'group', name: { full: 'Bo' }, media: { m1: { kind: 'photo', uri } } };
  const text = JSON.stringify(card);
  const older = connectTo(join(folder, 'hub.db'));
  await sql`insert into cards (uid, card, seq) values ('bo', ${text}, 2)`.execute(older);
  await sql`insert into changes (uid, at, says, before, after) values ('bo', '', '', null, ${text})`.execute(
    older,
  );
  await sql`insert into memory (device, uid, href, card) values (1, 'bo', 'bo.vcf', ${text})`.execute(older);
  await sql`insert into sent (browser, uid, card, seq, "isSame") values (1, 'bo', ${text}, 2, 1)`.execute(
    older,
  );
  await older.destroy();
  const db = await openStore(folder);
  const aside = await db.selectFrom('pictures').select(['id', 'uri']).execute();
  expect(aside.map((one) => one.uri)).toEqual([uri]);
  const expected = text.replace(uri, `cordialis-picture:${aside[0]?.id ?? ''}`);
  const kept = await db.selectFrom('cards').selectAll().where('uid', '=', 'bo').executeTakeFirstOrThrow();
  expect(kept).toMatchObject({ card: expected, kind: 'group', href: hrefFor('bo') });
  expect([kept.place.startsWith('g'), kept.alike.length]).toEqual([true, 32]);
  expect(await db.selectFrom('changes').select('after').execute()).toEqual([{ after: expected }]);
  const memory = await findMemory(db, 1, 'bo');
  expect([memory?.card, memory?.seq]).toEqual([expected, null]);
  expect(await db.selectFrom('sent').select('card').execute()).toEqual([{ card: expected }]);
  await db.destroy();
});

test('a store of a program that counted further than this one knows is refused', async () => {
  await leave(10);
  const db = connectTo(join(folder, 'hub.db'));
  await sql`pragma user_version = 99`.execute(db);
  await db.destroy();
  await expect(openStore(folder)).rejects.toThrow(/newer version/);
});

async function stepsOf(db: HubDb): Promise<string[]> {
  const { rows } = await sql<{ name: string }>`select name from kysely_migration order by name`.execute(db);
  return rows.map(({ name }) => name);
}

/** What a later program does. */
const next = (isBreak: boolean): Step => ({
  ...{ name: '9001 nicknames', isBreak },
  up: ({ schema }) => schema.alterTable('cards').addColumn('nickname', 'text').execute(),
});

function placeOf(db: HubDb): MigrationPlace {
  const { kind } = engineOf(db);
  return kind === 'sqlite' ? { kind } : { kind, schema: readAddress(testAddress(folder) ?? '').schema };
}

test('a store to which a newer program has only added is opened and written, and its steps stay', async () => {
  const newer = await openTestStore(folder);
  const older = await openTestStore(folder);
  const put = (db: HubDb, uid: string) =>
    db
      .insertInto('cards')
      .values({ uid, card: '{}', seq: 1, href: '', kind: '', alike: '', place: '' })
      .execute();
  await put(older, 'before');
  await migrate(newer, { ...placeOf(newer), steps: [...STEPS, next(false)] });
  // One that is running goes on, and one that is started anew as well.
  await put(older, 'running');
  expect(await older.selectFrom('cards').selectAll().where('uid', '=', 'before').execute()).toHaveLength(1);
  await older.destroy();
  const again = await openTestStore(folder);
  await put(again, 'started');
  expect(await stepsOf(again)).toEqual([...STEPS.map(({ name }) => name), '9001 nicknames']);
  expect(await again.selectFrom('cards').select('uid').orderBy('uid').execute()).toHaveLength(3);
  await again.destroy();
  await newer.destroy();
});

test('one in which it has changed what there was is refused by the older', async () => {
  const newer = await openTestStore(folder);
  await migrate(newer, { ...placeOf(newer), steps: [...STEPS, next(true)] });
  await expect(openTestStore(folder)).rejects.toThrow(/newer version of the program \(9001 nicknames\)/);
  await newer.destroy();
});

test('a step that fails half-way has done nothing, and the next start goes it again', async () => {
  const db = await openTestStore(folder);
  const failing: Step = {
    ...{ name: '9002 half', isBreak: false },
    up: async (one, kind) => {
      await next(false).up(one, kind);
      throw new Error('half-way');
    },
  };
  await expect(migrate(db, { ...placeOf(db), steps: [...STEPS, failing] })).rejects.toThrow('half-way');
  expect(await stepsOf(db)).toHaveLength(STEPS.length);
  await migrate(db, { ...placeOf(db), steps: [...STEPS, next(false)] });
  await db.destroy();
});

test('the names of steps are in the order in which they are gone', () => {
  const names = STEPS.map(({ name }) => name);
  expect(names).toEqual([...names].sort());
});
