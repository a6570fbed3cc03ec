/** @jest-environment node */
import { chmodSync, mkdtempSync, readdirSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openTestStore } from '@/hub/testing';

import { inTransaction } from './';
import type { HubDb } from './schema/tables';

let folder = '';
let db: HubDb;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-store-'));
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const put = (store: HubDb, list: string) =>
  store.insertInto('members').values({ list, uids: '[]' }).execute();
const lists = async (store: HubDb) =>
  (await store.selectFrom('members').select('list').orderBy('list').execute()).map(({ list }) => list);

test('what fails half-way has done nothing, and the next work is done all the same', async () => {
  const failing = inTransaction(db, async (store) => {
    await put(store, 'a');
    throw new Error('half-way');
  });
  const next = inTransaction(db, (store) => put(store, 'b'));
  await expect(failing).rejects.toThrow('half-way');
  await next;
  expect(await lists(db)).toEqual(['b']);
});

test('a text that no store can hold is refused in words, and the next is written all the same', async () => {
  const refused = await inTransaction(db, (store) => put(store, 'a\0')).catch((error: unknown) => error);
  expect(refused).toMatchObject({ status: 400, message: expect.stringContaining('U+0000') });
  await inTransaction(db, (store) => put(store, 'b'));
  expect(await lists(db)).toEqual(['b']);
});

(process.platform === 'linux' ? test : test.skip)(
  'nobody else on the machine can read the folder',
  async () => {
    expect(statSync(folder).mode & 0o777).toBe(0o700);
    chmodSync(folder, 0o755);
    const again = await openTestStore(folder);
    expect(statSync(folder).mode & 0o777).toBe(0o700);
    await again.destroy();
  },
);

test('reading beside a transaction sees the state before it, and does not wait for it', async () => {
  await inTransaction(db, (store) => put(store, 'a'));
  let seen: string[] = [];
  await inTransaction(db, async (store) => {
    await put(store, 'b');
    seen = await lists(db);
    expect(await lists(store)).toEqual(['a', 'b']);
  });
  expect(seen).toEqual(['a']);
  expect(await lists(db)).toEqual(['a', 'b']);
});

// Where the system says which files a process has open.
(process.platform === 'linux' ? test : test.skip)('hundreds of transactions leave no file open', async () => {
  const open = () => readdirSync('/proc/self/fd').length;
  await inTransaction(db, (store) => put(store, 'first'));
  const before = open();
  for (let i = 0; i < 200; i += 1) await inTransaction(db, (store) => put(store, String(i)));
  expect(open()).toBeLessThan(before + 10);
});
