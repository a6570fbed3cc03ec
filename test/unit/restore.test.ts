/** @jest-environment node */
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import express from 'express';

import { makeHubClient } from '@/book/clients/hubClient';
import { changeBook, changeSettings, readAllTalks } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { selectCardsByUid, selectHub, selectSettings } from '@/book/state';
import { pairWithHub } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { gone, MemoryStorage, openTestBook, put } from '@/book/testing';
import type { Card } from '@/core/card';
import type { Talk } from '@/core/talks';
import { gate } from '@/hub/access';
import { answerFault, devicesApi, exchangeApi, pairApi } from '@/hub/api';
import { NO_LOG } from '@/hub/base';
import { davRouter } from '@/hub/dav';
import { allCards, type HubDb, makeBackup, restoreBackup, seal, unseal } from '@/hub/store';
import { addDevice, makeCode } from '@/hub/sync';
import { openTestStore, TEST_NOW, testAddress, testPerson } from '@/hub/testing';
import type { HubQuestion } from '@/platform';

import { askOver } from './askOver';

const PASSPHRASE = 'harbour lights at nine';
let folder = '';
let data = '';
let db: HubDb;
let server: Server;
let base = '';
let count = 0;

beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-restore-'));
  data = join(folder, 'data');
  await start();
});
afterEach(async () => {
  await stop();
  rmSync(folder, { recursive: true, force: true });
});

async function start(): Promise<void> {
  db = await openTestStore(data);
  const app = express();
  const utcNow = () => TEST_NOW;
  app.use(gate({ db, isDemo: false, utcNow }));
  app.use('/api/pair', pairApi(db, false));
  app.use('/api/exchange', exchangeApi(db, 'GB'));
  app.use('/api/devices', devicesApi(db, 'GB'));
  app.use('/dav', davRouter({ db, country: 'GB', utcNow }));
  app.use(answerFault(NO_LOG));
  server = await new Promise<Server>((resolve) => {
    const one = app.listen(0, '127.0.0.1', () => resolve(one));
  });
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}

async function stop(): Promise<void> {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
  await db.destroy();
}

const backUp = async () => {
  const path = join(folder, `${(count += 1)}.backup`);
  await makeBackup(db, path, PASSPHRASE);
  return path;
};
const passphrase = () => Promise.resolve(PASSPHRASE);

/** Ends the hub, restores, and begins it again. */
async function restore(path: string): Promise<void> {
  await stop();
  const utcNow = `2026-11-26T10:00:${count}Z`;
  await restoreBackup({ path, folder: data, address: testAddress(data), utcNow, passphrase });
  await start();
}

const ask = (question: HubQuestion) => askOver(base, question);

async function openBrowser(name: string, cards: readonly Card[] = []) {
  const book = openTestBook(new MemoryStorage(), cards, { hub: makeHubClient(ask, () => () => undefined) });
  await book.store.dispatch(openBook());
  const { dispatch, getState } = book.store;
  await dispatch(pairWithHub(await makeCode(db, Date.now()), name));
  const edit = (some: Parameters<typeof changeBook>[0]) => dispatch(changeBook(some));
  return {
    exchange: () => dispatch(exchange(`${name} ${(count += 1)}`)),
    card: (uid: string) => selectCardsByUid(getState()).get(uid),
    cards: () => [...selectCardsByUid(getState()).values()].map(({ uid }) => uid).sort(),
    put: (...some: Card[]) => edit({ cause: 'edit', label: 'Edited', edits: put(...some) }),
    remove: (uid: string) => edit({ cause: 'delete', label: 'Deleted', edits: gone(uid) }),
    talk: (change: { before?: Talk; after?: Talk }) =>
      edit({ cause: 'edit', label: 'Noted', talks: [change] }),
    talks: async () => (await dispatch(readAllTalks())).map(({ said }) => said).sort(),
    set: (leapDay: 'february-28' | 'march-1') => dispatch(changeSettings({ leapDay })),
    leapDay: () => selectSettings(getState()).leapDay,
    fault: () => selectHub(getState()).fault,
  };
}
const person = (uid: string, mail = `${uid}@example.org`) =>
  testPerson(uid, `${uid} Lowther`, { emails: { e1: { address: mail } } });
const mailIn = (card: Card | undefined) => Object.values(card?.emails ?? {}).map(({ address }) => address);
const talk = (id: string, said = `said ${id}`): Talk => ({
  ...{ id, kind: 'call', day: '2026-11-03', direction: 'out', with: ['ada'], said },
});
const onHub = async () => (await allCards(db)).map(({ uid }) => uid).sort();

test('a browser that is ahead of the backup brings back what was done since: nothing is lost, and what was deleted stays so', async () => {
  const one = await openBrowser(
    'One',
    ['ada', 'bo', 'cy'].map((uid) => person(uid)),
  );
  await one.talk({ after: talk('kept') });
  await one.talk({ after: talk('dropped') });
  await one.exchange();
  const backup = await backUp();
  await one.put(person('ada', 'ada@new.example'), person('dee'));
  await one.remove('bo');
  one.set('march-1');
  await one.talk({ after: talk('later') });
  await one.talk({ before: talk('dropped') });
  await one.talk({ before: talk('kept'), after: talk('kept', 'said more') });
  await one.exchange();
  await restore(backup);
  expect(await onHub()).toEqual(['ada', 'bo', 'cy']);
  await one.exchange();
  expect(one.fault()).toBe('');
  expect(await onHub()).toEqual(['ada', 'cy', 'dee']);
  expect(mailIn((await allCards(db)).find(({ uid }) => uid === 'ada'))).toEqual(['ada@new.example']);
  const other = await openBrowser('Other');
  await other.exchange();
  expect(other.cards()).toEqual(['ada', 'cy', 'dee']);
  expect(await other.talks()).toEqual(['said later', 'said more']);
  expect(other.leapDay()).toBe('march-1');
  // All is as before: nothing goes round.
  const seq = await onHub();
  await one.exchange();
  await other.exchange();
  expect([await onHub(), one.cards(), await one.talks()]).toEqual([
    seq,
    other.cards(),
    ['said later', 'said more'],
  ]);
});

test('numbers that are given again are no longer taken for the same: a browser that was ahead is told what others do', async () => {
  const one = await openBrowser('One', [person('ada')]);
  const two = await openBrowser('Two');
  await one.exchange();
  await two.exchange();
  const backup = await backUp();
  for (const uid of ['x', 'y', 'z']) await one.put(person(uid));
  await one.exchange();
  await restore(backup);
  // Behind the backup, or just at it: it goes on, under numbers that the other knows for something else.
  await two.put(person('new', 'of@two.example'));
  await two.exchange();
  await one.exchange();
  await two.exchange();
  const all = ['ada', 'new', 'x', 'y', 'z'];
  expect([one.cards(), two.cards(), await onHub()]).toEqual([all, all, all]);
});

test('what two have changed since, one before and one after the restoration, is put together', async () => {
  const one = await openBrowser('One', [person('ada')]);
  const two = await openBrowser('Two');
  await one.exchange();
  await two.exchange();
  const backup = await backUp();
  await one.put({ ...person('ada'), phones: { p1: { number: '+442079460123' } } });
  await one.exchange();
  await restore(backup);
  await two.put(person('ada', 'ada@two.example'));
  await two.exchange();
  await one.exchange();
  await two.exchange();
  for (const browser of [one, two])
    expect([mailIn(browser.card('ada')), Object.keys(browser.card('ada')?.phones ?? {})]).toEqual([
      ['ada@two.example'],
      ['p1'],
    ]);
});

test('an edit made since beats a deletion that the backup didn’t know of', async () => {
  const one = await openBrowser('One', [person('ada')]);
  const two = await openBrowser('Two');
  await one.exchange();
  await two.exchange();
  const backup = await backUp();
  await one.remove('ada');
  await one.exchange();
  await restore(backup);
  await two.put(person('ada', 'ada@two.example'));
  await two.exchange();
  await one.exchange();
  await one.exchange();
  expect([mailIn(one.card('ada')), await onHub()]).toEqual([['ada@two.example'], ['ada']]);
});

test('a store restored twice, from the same and from an older backup, still loses nothing', async () => {
  const one = await openBrowser('One', [person('ada')]);
  await one.exchange();
  const old = await backUp();
  await one.put(person('bo'));
  await one.exchange();
  const later = await backUp();
  await one.put(person('cy'));
  await one.exchange();
  for (const path of [later, later, old]) {
    await restore(path);
    await one.put(person(`n${(count += 1)}`));
    await one.exchange();
  }
  expect(await onHub()).toEqual(one.cards());
  expect(one.cards()).toHaveLength(6);
  await restore(old);
  await restore(later);
  await one.exchange();
  expect(await onHub()).toEqual(one.cards());
});

test('devices wait until a browser has come; one behind the backup goes on, one ahead asks for everything', async () => {
  const phone = await addDevice(db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  const sync = async (token: string) => {
    const response = await fetch(`${base}/dav/books/${phone.user}/cards/`, {
      method: 'REPORT',
      headers: { Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}` },
      body: `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${token}</d:sync-token><d:prop><d:getetag/></d:prop></d:sync-collection>`,
    });
    const text = await response.text();
    const token2 = /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '';
    return { status: response.status, token: token2, count: text.split('<d:propstat>').length - 1 };
  };
  const one = await openBrowser('One', [person('ada')]);
  await one.exchange();
  const behind = await sync('');
  await one.put(person('bo'));
  await one.exchange();
  const backup = await backUp();
  await one.put(person('cy'));
  await one.exchange();
  const ahead = await sync(behind.token);
  await restore(backup);
  expect((await sync(ahead.token)).status).toBe(503);
  await one.exchange();
  expect((await sync(ahead.token)).status).toBe(403);
  expect(await sync(behind.token)).toMatchObject({ status: 207, count: 2 });
  expect(await sync('')).toMatchObject({ status: 207, count: 3 });
});

test('the key comes with the backup, for whoever knows the passphrase', async () => {
  const sealed = seal(db, 'the password of a server');
  const path = await backUp();
  await stop();
  const elsewhere = join(folder, 'elsewhere');
  const wrong = () => Promise.resolve('another passphrase');
  const to = { path, folder: elsewhere, utcNow: TEST_NOW };
  await expect(restoreBackup({ ...to, passphrase: wrong })).rejects.toThrow('not the passphrase');
  await restoreBackup({ ...to, passphrase });
  data = elsewhere;
  await start();
  expect(unseal(db, sealed)).toBe('the password of a server');
});
