/** @jest-environment node */
// Requests that come at the same moment, to one hub or to two at the same store, come to the same as one after the other.
import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import type { Express } from 'express';
import express from 'express';

import { gate } from '@/hub/access';
import { allCards, type HubDb } from '@/hub/store';
import { addDevice, type Credentials } from '@/hub/sync';
import { askAs, openTestStore, startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

import { davRouter } from './davRouter';

const vcard = (uid: string, more = '') =>
  `BEGIN:VCARD\r\nVERSION:4.0\r\nUID:${uid}\r\nFN:Ada Lowther\r\n${more}END:VCARD\r\n`;

let hub: TestHub;
let second: { readonly base: string; readonly stop: () => Promise<void> };
let devices: Credentials[] = [];

/** Another hub at the same store, in this process: it has nothing of the first one's memory. */
async function startSecond(folder: string): Promise<typeof second> {
  const db: HubDb = await openTestStore(folder);
  const app: Express = express();
  const utcNow = () => TEST_NOW;
  app.use(gate({ db, isDemo: false, utcNow }));
  app.use('/dav', davRouter({ db, country: 'GB', utcNow }));
  const server = await new Promise<Server>((resolve) => {
    const one = app.listen(0, '127.0.0.1', () => resolve(one));
  });
  return {
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await db.destroy();
    },
  };
}

beforeEach(async () => {
  hub = await startTestHub();
  second = await startSecond(hub.folder);
  devices = [];
  for (const name of ['Phone', 'Mail', 'Computer', 'Tablet'])
    devices.push(await addDevice(hub.db, { name, direction: 'both' }, TEST_NOW));
  // Each has been here: who it is, and what there is, is known.
  for (const base of [hub.base, second.base])
    for (const device of devices) await askAs(base, device, 'PROPFIND', '');
});
afterEach(async () => {
  await second.stop();
  await hub.stop();
});

const bases = (which: 'one hub' | 'two hubs') => (which === 'one hub' ? [hub.base] : [hub.base, second.base]);

for (const which of ['one hub', 'two hubs'] as const) {
  test(`four devices put the same new card at once, to ${which}: it is one card, with what each of them says`, async () => {
    const at = bases(which);
    const answers = await Promise.all(
      devices.map((device, i) =>
        askAs(at[i % at.length] ?? '', device, 'PUT', `ada-${i}.vcf`, {
          body: vcard('ada', `EMAIL:ada${i}@example.org\r\n`),
        }),
      ),
    );
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201, 201]);
    const cards = await allCards(hub.db);
    expect(cards.map(({ uid }) => uid)).toEqual(['ada']);
    const mails = Object.values(cards[0]?.emails ?? {}).map(({ address }) => address);
    expect(mails.sort()).toEqual([0, 1, 2, 3].map((i) => `ada${i}@example.org`));
    // At the address at which each has put it.
    for (const [i, device] of devices.entries())
      for (const base of at) expect((await askAs(base, device, 'GET', `ada-${i}.vcf`)).status).toBe(200);
  });

  test(`a card that one puts to ${which} while another deletes it is there or not for everybody alike`, async () => {
    const at = bases(which);
    const [phone, mail] = devices as [Credentials, Credentials];
    for (let round = 0; round < 10; round += 1) {
      const href = `bo-${round}.vcf`;
      const uid = `bo-${round}`;
      await askAs(at[0] ?? '', phone, 'PUT', href, { body: vcard(uid, 'NOTE:one\r\n') });
      const known = await askAs(at.at(-1) ?? '', mail, 'GET', href);
      const own = known.status === 200 ? href : `${uid}.vcf`;
      const [put, deleted] = await Promise.all([
        askAs(at[0] ?? '', phone, 'PUT', href, { body: vcard(uid, 'NOTE:two\r\n') }),
        askAs(at.at(-1) ?? '', mail, 'DELETE', own),
      ]);
      const there = (await allCards(hub.db)).some((card) => card.uid === uid);
      for (const base of at) {
        const { status } = await askAs(base, phone, 'GET', href);
        expect([round, put.status, deleted.status, there, status]).toEqual([
          round,
          put.status,
          deleted.status,
          there,
          there ? 200 : 404,
        ]);
      }
    }
  });
}

test('devices of the same name are added at once: one is, and the others are refused in words', async () => {
  const added = await Promise.allSettled(
    Array.from({ length: 4 }, () => addDevice(hub.db, { name: 'New phone', direction: 'both' }, TEST_NOW)),
  );
  expect(added.filter(({ status }) => status === 'fulfilled')).toHaveLength(1);
  for (const one of added)
    if (one.status === 'rejected')
      expect(one.reason).toMatchObject({ message: 'there is a device called New phone' });
  // Names that make the same user name get one each.
  const both = await Promise.all(
    ['New pad', 'new-pad'].map((name) => addDevice(hub.db, { name, direction: 'both' }, TEST_NOW)),
  );
  expect(new Set(both.map(({ user }) => user)).size).toBe(2);
});
