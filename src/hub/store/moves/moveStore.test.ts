/** @jest-environment node */
// A store that is moved between SQLite and PostgreSQL is the same there: rows, hashes, and the numbers that come next.
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import fc from 'fast-check';

import { stageDirectory } from '@/hub/stageDirectory';
import { sumsIn } from '@/hub/store/moves/copyStore';
import { addDevice, makeCode, pairBrowser } from '@/hub/sync';
import { TEST_NOW, testAddress, testPerson } from '@/hub/testing';

import {
  allCards,
  type HubDb,
  inTransaction,
  lastSeq,
  makeBackup,
  moveStore,
  notMoved,
  openStore,
  putCalendar,
  putCard,
  restoreBackup,
  seedDemo,
} from '..';

let folder = '';
/** Both of them, where the tests have a server; else nothing here can be tried. */
const withServer = process.env['CORDIALIS_TEST_STORE'] === undefined ? test.skip : test;
let address = '';
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-move-'));
  address = testAddress(folder) ?? '';
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const put = (db: HubDb, uid: string) =>
  inTransaction(db, (store) =>
    putCard(store, uid, testPerson(uid, `Ada ${uid}`), { at: TEST_NOW, device: null, says: 'put' }),
  );
const move = (from: string | undefined, to: string | undefined, second = '00') =>
  moveStore({ folder, from, to, utcNow: `2026-11-26T10:00:${second}Z` });

/** Opens a store, does something with it, and closes it. */
async function at<T>(where: string | undefined, work: (db: HubDb) => Promise<T>): Promise<T> {
  const db = await openStore(folder, where);
  try {
    return await work(db);
  } finally {
    await db.destroy();
  }
}

/** Something of everything. */
const fill = (db: HubDb) =>
  seedDemo(db, '2026-11-26').then(async () => {
    await stageDirectory(db, '2026-11-26');
    await addDevice(db, { name: 'Phone', direction: 'both' }, TEST_NOW);
    const nowMs = Date.parse(TEST_NOW);
    await pairBrowser(db, { code: await makeCode(db, nowMs), name: 'One' }, nowMs);
    await putCalendar(db, '0'.repeat(32), 'BEGIN:VCALENDAR', 5);
  });

withServer('a store goes there and back with all it has, and counts on where it was', async () => {
  const before = await at(undefined, async (db) => {
    await fill(db);
    // Numbers that were given and are gone are not given again.
    const seq = await put(db, 'gone');
    await db.deleteFrom('changes').where('seq', '=', seq).execute();
    return { seq, sums: await sumsIn(db) };
  });
  expect(Object.values(before.sums).filter(({ rows }) => rows > 0).length).toBeGreaterThan(8);
  await move(undefined, address);
  await at(address, async (db) => {
    const { about: _, ...there } = await sumsIn(db);
    const { about: __, ...here } = before.sums;
    expect(there).toEqual(here);
    expect(await put(db, 'next')).toBe(before.seq + 1);
    // Its log is still kept from being changed.
    await expect(db.deleteFrom('directoryLog').execute()).rejects.toThrow(/log of the directory/);
  });
  // Nobody goes on with what stayed behind.
  await at(undefined, (db) => expect(notMoved(db)).rejects.toThrow(/moved to postgres:/));
  await move(address, undefined, '01');
  await at(undefined, async (db) => {
    await notMoved(db);
    expect(await put(db, 'last')).toBe(before.seq + 2);
    await expect(db.deleteFrom('directoryLog').execute()).rejects.toThrow(/log of the directory/);
  });
  expect(readdirSync(folder)).toContain('before-move-20261126T100001Z');
  // To where it has been before: what stayed behind there makes room.
  await move(undefined, address, '02');
  await at(address, async (db) => expect(await lastSeq(db)).toBe(before.seq + 2));
});

withServer('any rows are the same after it, in every script and with every sign', async () => {
  const text = fc.string({ unit: 'binary', maxLength: 20 }).map((one) => one.replaceAll('\0', ''));
  await fc.assert(
    fc.asyncProperty(fc.uniqueArray(text, { minLength: 1, maxLength: 250 }), async (uids) => {
      const one = mkdtempSync(join(folder, 'law-'));
      const there = testAddress(one);
      const db = await openStore(one);
      await inTransaction(db, async (store) => {
        for (const uid of uids)
          await putCard(store, uid, testPerson(uid, uid), { at: TEST_NOW, device: null, says: uid });
      });
      const sums = await sumsIn(db);
      await db.destroy();
      const moved = await moveStore({ folder: one, from: undefined, to: there, utcNow: TEST_NOW });
      expect([moved['cards'], moved['changes']]).toEqual([sums['cards'], sums['changes']]);
    }),
    { numRuns: 8 },
  );
});

withServer('one that is in use, or would take the place of another book, isn’t moved', async () => {
  await at(undefined, fill);
  await at(undefined, async () => {
    // The store's file, which another hub holds.
    const { holdStore } = await import('..');
    const release = await holdStore(folder);
    await expect(move(undefined, address)).rejects.toThrow(/a hub is using/);
    await release?.();
  });
  await at(address, async (db) => {
    await expect(move(undefined, address)).rejects.toThrow(/a hub is using/);
    await put(db, 'other');
  });
  await expect(move(undefined, address)).rejects.toThrow(/a book already/);
  await expect(move(address, address)).rejects.toThrow(/there already/);
  await at(undefined, notMoved);
  await at(address, async (db) => expect(await allCards(db)).toHaveLength(1));
});

withServer('one that ended before its last step is done with the next', async () => {
  await at(undefined, fill);
  await move(undefined, address);
  // As if it had been killed before it was said.
  await at(undefined, (db) => db.deleteFrom('about').where('name', '=', 'movedTo').execute());
  await move(undefined, address);
  await at(undefined, (db) => expect(notMoved(db)).rejects.toThrow(/moved to/));
});

withServer('a backup of a store in PostgreSQL is restored there, and in a folder', async () => {
  const file = join(folder, 'backup.db');
  await at(address, async (db) => {
    await fill(db);
    await makeBackup(db, file, 'harbour lights at nine');
    await put(db, 'later');
  });
  const passphrase = () => Promise.resolve('harbour lights at nine');
  const restored = await restoreBackup({ path: file, folder, address, utcNow: TEST_NOW, passphrase });
  expect(existsSync(join(restored.before ?? '', 'hub.db'))).toBe(true);
  await at(address, async (db) => {
    const uids = (await allCards(db)).map(({ uid }) => uid);
    expect([uids.length, uids.includes('later')]).toEqual([restored.cards, false]);
  });
  const other = mkdtempSync(join(folder, 'other-'));
  const { cards } = await restoreBackup({ path: file, folder: other, utcNow: TEST_NOW, passphrase });
  expect(cards).toBe(restored.cards);
  // A hub is at it: nothing is restored under it.
  await at(address, () =>
    expect(restoreBackup({ path: file, folder, address, utcNow: TEST_NOW, passphrase })).rejects.toThrow(
      /a hub is using/,
    ),
  );
});
