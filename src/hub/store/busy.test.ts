/** @jest-environment node */
// A store that another process is writing: waited for beside everything else, said, and never broken by it.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { sql } from 'kysely';

import { connectTo } from './engines/sqlite/connectTo';
import { StoreFault } from './engines/storeFault';
import { inTransaction, openStore } from './openStore';
import type { HubDb } from './schema/tables';

let folder = '';
let db: HubDb;
let other: HubDb;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-busy-'));
  db = await openStore(folder);
  // As the tool in another process has it.
  other = connectTo(join(folder, 'hub.db'));
});
afterEach(async () => {
  await other.destroy();
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const put = (list: string) =>
  inTransaction(db, (store) => store.insertInto('members').values({ list, uids: '[]' }).execute());
const lists = async () =>
  (await db.selectFrom('members').select('list').orderBy('list').execute()).map(({ list }) => list);

test('a write waits for another process, and everything else goes on meanwhile', async () => {
  await sql`begin immediate`.execute(other);
  const waiting = put('a');
  let turns = 0;
  for (let i = 0; i < 20; i += 1) {
    await new Promise((resolve) => setTimeout(resolve, 10));
    expect(await lists()).toEqual([]);
    turns += 1;
  }
  await sql`commit`.execute(other);
  await waiting;
  expect([turns, await lists()]).toEqual([20, ['a']]);
});

test('one that waits too long is refused in words, and the next is done all the same', async () => {
  await sql`begin immediate`.execute(other);
  const refused = await put('a').catch((error: unknown) => error);
  expect(refused).toBeInstanceOf(StoreFault);
  expect(refused).toMatchObject({ status: 503, message: expect.stringMatching(/busy/) });
  await sql`rollback`.execute(other);
  for (const list of ['b', 'c']) await put(list);
  expect(await lists()).toEqual(['b', 'c']);
});
