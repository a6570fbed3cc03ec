/** @jest-environment node */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openTestStore } from '@/hub/testing';

import {} from './';
import { allCards, putCard } from './cards';
import type { HubDb } from './schema/tables';
import { seedDemo } from './seedDemo';
import { keepApart, type Whose } from './whoseStore';

let folder = '';
const folders: string[] = [];
function another(): void {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-whose-'));
  folders.push(folder);
}
beforeEach(another);
afterAll(() => folders.forEach((one) => rmSync(one, { recursive: true, force: true })));

/** Opens the store for somebody, does something with it, and closes it. */
async function open(whose: Whose, work: (db: HubDb) => Promise<unknown> = async () => undefined) {
  const db = await openTestStore(folder);
  try {
    await keepApart(db, whose, folder);
    await work(db);
  } finally {
    await db.destroy();
  }
}

const own = (db: HubDb) =>
  putCard(
    db,
    'ada',
    { '@type': 'Card', version: '1.0', uid: 'ada', updated: '', name: { full: 'Ada' } },
    { at: '2026-11-26T10:00:00Z', device: null, says: 'put' },
  );

test('a demo doesn’t open one’s own store, nor leave anything in it', async () => {
  await open('own', own);
  await expect(open('demo', (db) => seedDemo(db, '2026-11-26'))).rejects.toThrow(/own book.*CORDIALIS_DATA/s);
  await open('own', async (db) => expect(await allCards(db)).toHaveLength(1));
});

test('one’s own hub doesn’t open a demo’s store', async () => {
  await open('demo', (db) => seedDemo(db, '2026-11-26'));
  await expect(open('own')).rejects.toThrow(/demo.*CORDIALIS_DATA/s);
  await open('demo');
});

test('an empty store is whose it is opened for first', async () => {
  await open('own');
  await expect(open('demo')).rejects.toThrow(/own book/);
});

test('a store from before it was said is told by how it began', async () => {
  const begin = async (work: (db: HubDb) => Promise<unknown>) => {
    const db = await openTestStore(folder);
    await work(db);
    await db.destroy();
  };
  await begin((db) => seedDemo(db, '2026-11-26'));
  await expect(open('own')).rejects.toThrow(/demo/);
  another();
  await begin(own);
  await expect(open('demo')).rejects.toThrow(/own book/);
  another();
  // Whoever has paired a browser may have a book in it that is still empty.
  await begin((db) =>
    db.insertInto('browsers').values({ name: 'Firefox', token: 't', created: '', seen: '' }).execute(),
  );
  await expect(open('demo')).rejects.toThrow(/own book/);
  await open('own');
});
