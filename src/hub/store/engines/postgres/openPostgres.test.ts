/** @jest-environment node */
// A database that is busy, cuts connections off or can't be reached: said in words, nothing half done, and survived.
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import pg from 'pg';

import { testAddress } from '@/hub/testing';

import { engineOf, type HubDb, inTransaction, notifyOfChange, onChange, openStore, StoreFault } from '../..';
import { lockKey, readAddress } from './address';

/** Where the tests have a server. */
const withServer = process.env['CORDIALIS_TEST_STORE'] === undefined ? test.skip : test;

let folder = '';
let address = '';
let db: HubDb;
let other: pg.Client;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-postgres-'));
  const found = testAddress(folder);
  if (found === undefined) return;
  address = found;
  db = await openStore(folder, address);
  other = new pg.Client(readAddress(address).config);
  await other.connect();
});
afterEach(async () => {
  if (address !== '') {
    await other.end();
    await db.destroy();
  }
  rmSync(folder, { recursive: true, force: true });
});

const write = (store: HubDb, list: string) =>
  store.insertInto('members').values({ list, uids: '[]' }).execute();
const put = (list: string) => inTransaction(db, (store) => write(store, list));
const lists = async () =>
  (await db.selectFrom('members').select('list').orderBy('list').execute()).map(({ list }) => list);
const outcomeOf = (work: Promise<unknown>) =>
  work.then(
    () => 'well',
    (error: unknown) => (error instanceof StoreFault ? error.status : error),
  );
/** Cuts off all connections of this store, or those that write: others' tests are at the same server. */
const cutOff = (which = '') =>
  other.query(
    `select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and application_name = $1 and state is not null ${which}`,
    [readAddress(address).config.application_name],
  );

withServer(
  'a write waits for another hub’s, beside everything else, and is refused where that takes too long',
  async () => {
    const key = lockKey(readAddress(address), 'the book');
    await other.query(`begin; select pg_advisory_xact_lock(${key})`);
    const waiting = outcomeOf(put('a'));
    const began = performance.now();
    let turns = 0;
    while (performance.now() - began < 300) {
      expect(await lists()).toEqual([]);
      turns += 1;
    }
    expect(turns).toBeGreaterThan(3);
    expect(await waiting).toBe(503);
    const next = outcomeOf(put('b'));
    await other.query('rollback');
    expect([await next, await lists()]).toEqual(['well', ['b']]);
  },
);

withServer(
  'a connection that is cut off in the middle of a transaction has done nothing, and the next does',
  async () => {
    const cut = outcomeOf(
      inTransaction(db, async (store) => {
        await write(store, 'a');
        await cutOff(`and state = 'idle in transaction'`);
        await write(store, 'b');
      }),
    );
    expect(await cut).toBe(503);
    expect([await outcomeOf(put('c')), await lists()]).toEqual(['well', ['c']]);
  },
);

withServer(
  'where all connections are cut off, what comes after is done, and news are heard again',
  async () => {
    const heard: number[] = [];
    const stop = onChange(db, (seq) => void heard.push(seq));
    await cutOff();
    // One or the other may still have got a connection that was gone.
    for (let tries = 0; tries < 20 && (await outcomeOf(put('a'))) !== 'well'; tries += 1);
    expect(await lists()).toEqual(['a']);
    // It is told to look, since something may have been missed.
    while (heard.length === 0) await new Promise((resolve) => setTimeout(resolve, 20));
    await inTransaction(db, async (store) => notifyOfChange(store, 41));
    while (!heard.includes(41)) await new Promise((resolve) => setTimeout(resolve, 20));
    stop();
  },
);

withServer(
  'a job that another hub does isn’t done twice, and goes on where that hub is cut off',
  async () => {
    const second = await openStore(folder, address);
    let release: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    const first = engineOf(db).alone('visits', () => held.then(() => 'first'));
    await new Promise((resolve) => setTimeout(resolve, 100));
    expect(await engineOf(second).alone('visits', async () => 'second')).toBeUndefined();
    expect(await engineOf(db).alone('visits', async () => 'again')).toBeUndefined();
    expect(await engineOf(second).alone('others', async () => 'second')).toBe('second');
    await cutOff();
    let done: string | undefined;
    while (done === undefined) {
      await new Promise((resolve) => setTimeout(resolve, 50));
      done = await engineOf(second).alone('visits', async () => 'second');
    }
    expect(done).toBe('second');
    release();
    expect(await first).toBe('first');
    await second.destroy();
  },
);

test('a server that isn’t there is said when the store is opened, and nothing is left of it', async () => {
  const closed = createServer().listen(0, '127.0.0.1');
  await new Promise((resolve) => closed.once('listening', resolve));
  const { port } = closed.address() as { port: number };
  await new Promise((resolve) => closed.close(resolve));
  const refused = openStore(join(folder, 'data'), `postgres://nobody@127.0.0.1:${port}/none`);
  await expect(refused).rejects.toMatchObject({
    status: 503,
    message: expect.stringMatching(/can’t be reached/),
  });
});
