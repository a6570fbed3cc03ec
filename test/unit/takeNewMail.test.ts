/** @jest-environment node */
import { makeHubClient } from '@/book/clients/hubClient';
import { openBook } from '@/book/openBook';
import { pairWithHub } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { MemoryStorage, openTestBook } from '@/book/testing';
import { exchangeApi, mailboxApi, pairApi } from '@/hub/api';
import { makeCode } from '@/hub/sync';
import { startTestHub, type TestHub, testPerson } from '@/hub/testing';
import { rowOf } from '@/hub/write/mailbox/mailbox';
import type { HubQuestion } from '@/platform';

import { askOver } from './askOver';

/** What was read out of the files that were taken in. */
const taken: string[] = [];
jest.mock('@/book/talks/importTalks', () => ({
  importTalks: (files: readonly File[]) => async () => {
    for (const file of files) taken.push(await file.text());
  },
}));

let hub: TestHub;
beforeEach(async () => {
  taken.length = 0;
  hub = await startTestHub((app, store) => {
    app.use('/api/pair', pairApi(store, false));
    app.use('/api/exchange', exchangeApi(store, 'GB'));
    app.use('/api/mailbox', mailboxApi(store));
  });
});
afterEach(() => hub.stop());

const ask = (question: HubQuestion) => askOver(hub.base, question);

async function comesIn(subject: string): Promise<void> {
  const from = { name: 'Ada', address: 'ada@example.org' };
  const message = `From: ada@example.org\r\nTo: me@example.org\r\nSubject: ${subject}\r\n\r\nx\r\n`;
  const row = rowOf('inbox', '2026-11-26T10:00:00Z', message, { from, to: [], subject });
  await hub.db.insertInto('mails').values(row).execute();
}

async function openBrowser() {
  const client = makeHubClient(ask, () => () => undefined);
  const book = openTestBook(new MemoryStorage(), [testPerson('ada', 'Ada Lowther')], { hub: client });
  await book.store.dispatch(openBook());
  await book.store.dispatch(pairWithHub(await makeCode(hub.db, Date.now()), 'One'));
  const go = () => book.store.dispatch(exchange('one'));
  await go();
  return { ...book, go };
}
const subjects = () => taken.flatMap((text) => [...text.matchAll(/^Subject: (.*)$/gm)].map(([, one]) => one));

test('mail that comes after pairing is taken into the talks, each message once; what lay there before isn’t', async () => {
  await comesIn('Long ago');
  const { go } = await openBrowser();
  expect(subjects()).toEqual([]);
  await comesIn('First');
  await comesIn('Second');
  await go();
  await go();
  expect(subjects()).toEqual(['First', 'Second']);
  await comesIn('Third');
  await go();
  expect(subjects()).toEqual(['First', 'Second', 'Third']);
});

test('the number of another hub’s mailbox doesn’t hold up what comes into this one', async () => {
  const { go, storage } = await openBrowser();
  storage.entries.set('mailTaken', '4711');
  await comesIn('Before it is noticed');
  await go();
  await comesIn('After');
  await go();
  expect(subjects()).toEqual(['After']);
});
