/** @jest-environment node */
import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';

import type { Card } from '@/core/card';
import type { AccountRequest } from '@/core/sync';
import { allCards, findCard, type HubDb, lastSeq, putCard } from '@/hub/store';
import { addDevice, changePassport } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

import { addAccount, listAccounts } from './accounts';
import { syncAccount } from './syncAccount';

const NOW = TEST_NOW;
/** The hub that is the client, and the one that is the server. */
let client: TestHub;
let server: TestHub;
let here: HubDb;
let there: HubDb;
let base = '';
let credentials: Credentials;

beforeEach(async () => {
  [client, server] = [await startTestHub(), await startTestHub()];
  [here, there, base] = [client.db, server.db, server.base];
  credentials = await addDevice(there, { name: 'The other hub', direction: 'both' }, NOW);
});
afterEach(() => Promise.all([client.stop(), server.stop()]));

const ADA = testPerson('urn:uuid:00000000-0000-4000-8000-000000000001', 'Ada Lowther', {
  emails: { e1: { address: 'ada@example.org' } },
  phones: { p1: { number: '+442079460123' } },
  'cordialis.example:opener': 'The new organ?',
});
const BO = testPerson('urn:uuid:00000000-0000-4000-8000-000000000002', 'Bo Ek', {
  emails: { e1: { address: 'bo@example.org' } },
});
const put = (db: HubDb, card: Card | undefined, uid = card?.uid ?? '') =>
  putCard(db, uid, card, { at: NOW, device: null, says: 'put' });
const add = (some: Partial<AccountRequest> = {}) =>
  addAccount(
    here,
    { name: 'Office', base, ...credentials, direction: 'both', everyMinutes: 60, ...some },
    NOW,
  );
async function visit() {
  const [account] = await listAccounts(here);
  if (!account) throw new Error('there is no account');
  return syncAccount({ db: here, now: NOW, country: 'GB' }, account);
}
const mailOf = async (db: HubDb, uid: string) =>
  Object.values((await findCard(db, uid))?.emails ?? {}).map(({ address }) => address);
const names = async (db: HubDb) =>
  (await allCards(db))
    .map(({ name }) => (name?.components ?? []).map(({ value }) => value).join(' '))
    .toSorted();

test('cards of both come to both, and a visit with nothing new changes nothing', async () => {
  await put(here, ADA);
  await put(there, BO);
  await add();
  expect((await listAccounts(here))[0]?.passport.seen).toBeNull();
  expect(await visit()).toEqual({ came: 1, went: 1 });
  expect((await listAccounts(here))[0]?.passport.seen).toBe(NOW);
  expect(await names(here)).toEqual(['Ada Lowther', 'Bo Ek']);
  expect(await names(there)).toEqual(['Ada Lowther', 'Bo Ek']);
  await visit();
  const seqs = [await lastSeq(here), await lastSeq(there)];
  expect(await visit()).toEqual({ came: 0, went: 0 });
  expect([await lastSeq(here), await lastSeq(there)]).toEqual(seqs);
  // What only this book knows doesn't go there, and isn't lost by coming back.
  expect(JSON.stringify(await allCards(there))).not.toContain('organ');
  expect(await findCard(here, ADA.uid)).toMatchObject({ 'cordialis.example:opener': 'The new organ?' });
});

test('edits on both sides are put together, deletions follow, and an edit beats a deletion', async () => {
  await put(here, ADA);
  await put(here, BO);
  await add();
  await visit();
  const ada = await findCard(there, ADA.uid);
  if (!ada) throw new Error('Ada is not there');
  await put(there, { ...ada, emails: { e1: { address: 'ada@new.example' } } });
  await put(here, { ...ADA, phones: { p1: { number: '+442079460999' } } });
  await put(there, undefined, BO.uid);
  await visit();
  await visit();
  for (const db of [here, there]) {
    expect(await mailOf(db, ADA.uid)).toEqual(['ada@new.example']);
    expect((await findCard(db, ADA.uid))?.phones?.['p1']?.number).toBe('+442079460999');
    expect(await findCard(db, BO.uid)).toBeUndefined();
  }
});

test('two cards that look the same under different uids stay two on both sides: nobody merges them unasked', async () => {
  await put(here, ADA);
  const other = 'urn:uuid:00000000-0000-4000-8000-0000000000aa';
  await put(
    there,
    testPerson(other, 'Ada Lowther', {
      emails: { e1: { address: 'ada@example.org' } },
      phones: { p1: { number: '+447700900456' } },
    }),
  );
  await add();
  await visit();
  await visit();
  for (const db of [here, there]) {
    const cards = await allCards(db);
    expect(cards.map(({ uid }) => uid).toSorted()).toEqual([ADA.uid, other].toSorted());
    expect(cards.map(({ phones }) => Object.keys(phones ?? {}).length)).toEqual([1, 1]);
  }
});

test('in only brings what is there and sends nothing; out only the other way round', async () => {
  await put(here, ADA);
  await put(there, BO);
  await add({ direction: 'in' });
  await visit();
  expect([await names(here), await names(there)]).toEqual([['Ada Lowther', 'Bo Ek'], ['Bo Ek']]);
});

test('out only sends what is here and takes nothing', async () => {
  await put(here, ADA);
  await put(there, BO);
  await add({ direction: 'out' });
  await visit();
  expect([await names(here), await names(there)]).toEqual([['Ada Lowther'], ['Ada Lowther', 'Bo Ek']]);
});

test('a wrong password, a wrong address and a password without TLS are refused in words', async () => {
  await expect(add({ password: 'wrong' })).rejects.toThrow();
  await expect(add({ base: 'nonsense' })).rejects.toThrow('the address begins with https://');
  await expect(add({ base: 'http://cards.example' })).rejects.toThrow('without TLS');
  expect(await listAccounts(here)).toEqual([]);
});

test('a deletion that was missed while a token expired is found, and an edit of that card doesn’t fail for ever', async () => {
  await put(here, ADA);
  await put(here, BO);
  await add();
  await visit();
  await put(there, undefined, BO.uid);
  await put(there, undefined, ADA.uid);
  // The token ends, as a server's may at any time.
  await changePassport(there, 'The other hub', { notes: true });
  await put(here, { ...ADA, phones: { p1: { number: '+442079460999' } } });
  await visit();
  await visit();
  // Nobody has changed Bo here: the deletion counts. An edit beats a deletion.
  expect([await names(here), await names(there)]).toEqual([['Ada Lowther'], ['Ada Lowther']]);
  expect((await findCard(there, ADA.uid))?.phones?.['p1']?.number).toBe('+442079460999');
  expect(await visit()).toEqual({ came: 0, went: 0 });
});

test('a tag that the server doesn’t have any more is asked for anew', async () => {
  await put(here, ADA);
  await add();
  await visit();
  // What was sent comes back once as news, with its tag.
  await visit();
  const [account] = await listAccounts(here);
  const row = await here.selectFrom('memory').select('href').executeTakeFirstOrThrow();
  await here
    .updateTable('accounts')
    .set({ etags: JSON.stringify({ [row.href]: '"gone"' }) })
    .where('device', '=', account?.device ?? 0)
    .execute();
  await put(here, { ...ADA, phones: { p1: { number: '+442079460999' } } });
  expect(await visit()).toMatchObject({ went: 0 });
  expect(await visit()).toMatchObject({ went: 1 });
  expect((await findCard(there, ADA.uid))?.phones?.['p1']?.number).toBe('+442079460999');
});

/** A server that answers as it is told, and keeps what it was asked. */
async function startServer(answer: (request: IncomingMessage, response: ServerResponse) => void) {
  const asked: { readonly url: string; readonly authorization: string | undefined }[] = [];
  const one = createServer((request, response) => {
    asked.push({ url: request.url ?? '', authorization: request.headers.authorization });
    answer(request, response);
  });
  await new Promise<void>((resolve) => one.listen(0, '127.0.0.1', resolve));
  const stop = async () => {
    one.closeAllConnections();
    await new Promise((resolve) => one.close(resolve));
  };
  return { asked, stop, base: `http://127.0.0.1:${(one.address() as AddressInfo).port}` };
}

test('a password goes to no other server than the one it was typed for, wherever that leads', async () => {
  const other = await startServer((_, response) => response.writeHead(404).end());
  const ways: ((response: ServerResponse) => void)[] = [
    (response) => response.writeHead(301, { Location: `${other.base}/dav/` }).end(),
    (response) =>
      response.writeHead(308, { Location: `${other.base.replace('127.0.0.1', 'localhost')}/` }).end(),
    (response) =>
      response
        .writeHead(207, { 'Content-Type': 'application/xml' })
        .end(
          `<multistatus xmlns="DAV:"><response><href>/</href><propstat><prop><current-user-principal><href>${other.base}/me/</href></current-user-principal></prop><status>HTTP/1.1 200 OK</status></propstat></response></multistatus>`,
        ),
  ];
  for (const way of ways) {
    const one = await startServer((_, response) => way(response));
    await expect(add({ base: one.base })).rejects.toThrow(/the server leads to/);
    await one.stop();
  }
  expect(other.asked).toEqual([]);
  await other.stop();
});

test('a server that is silent ends a visit, in words', async () => {
  const silent = await startServer(() => undefined);
  await put(here, ADA);
  await add();
  await here.updateTable('accounts').set({ base: silent.base }).execute();
  const [account] = await listAccounts(here);
  if (!account) throw new Error('there is no account');
  const context = { db: here, now: NOW, country: 'GB', answerMs: 300 };
  await expect(syncAccount(context, account)).rejects.toThrow(/doesn’t answer/);
  const [sync] = await here.selectFrom('syncs').select('fault').orderBy('id', 'desc').execute();
  expect(sync?.fault).toMatch(/doesn’t answer/);
  await silent.stop();
});

test('what a server lists and doesn’t give is there all the same: nothing is deleted for it', async () => {
  await put(here, ADA);
  await put(here, BO);
  let isHeldBack = false;
  // Between the two: once it is told to, it keeps one card back.
  const between = await startServer((request, response) => {
    void (async () => {
      const body: Buffer[] = [];
      for await (const piece of request) body.push(piece as Buffer);
      const answer = await fetch(server.base + (request.url ?? ''), {
        method: request.method ?? 'GET',
        headers: Object.entries(request.headers).flatMap(([name, value]): [string, string][] =>
          /^(authorization|depth|content-type|if-)/.test(name) ? [[name, String(value)]] : [],
        ),
        ...(body.length === 0 ? {} : { body: Buffer.concat(body) }),
        redirect: 'manual',
      });
      const text = await answer.text();
      const isMultiget = Buffer.concat(body).includes('addressbook-multiget');
      const said =
        isHeldBack && isMultiget
          ? text.replace(/<d:response>(?:(?!<d:response>).)*Bo Ek.*?<\/d:response>/s, '')
          : text;
      const location = answer.headers.get('location');
      response
        .writeHead(answer.status, {
          'Content-Type': answer.headers.get('content-type') ?? 'text/plain',
          ...(location === null ? {} : { Location: location }),
        })
        .end(said);
    })();
  });
  await add({ base: between.base });
  await visit();
  isHeldBack = true;
  await changePassport(there, 'The other hub', { notes: true });
  await visit();
  expect([await names(here), await names(there)]).toEqual([
    ['Ada Lowther', 'Bo Ek'],
    ['Ada Lowther', 'Bo Ek'],
  ]);
  await between.stop();
});
