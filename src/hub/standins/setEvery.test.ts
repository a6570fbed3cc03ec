/** @jest-environment node */
import { addDevice, listDevices } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

import { setEvery } from './setEvery';
import { addStandIn, findStandIn } from './standInStore';

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub();
});
afterEach(() => hub.stop());
const device = async (name: string) => {
  const found = (await listDevices(hub.db)).find((one) => one.name === name);
  if (!found) throw new Error(`no ${name}`);
  return found;
};

test('how often a device that ships with the product comes is set, and counts from now on', async () => {
  await addStandIn(hub.db, 'phone');
  const before = Date.now();
  await setEvery(hub.db, await device('Phone'), 60);
  const state = await findStandIn(hub.db, 'phone');
  expect(state?.everyMinutes).toBe(60);
  const inMinutes = (Date.parse(state?.next ?? '') - before) / 60_000;
  expect(Math.round(inMinutes)).toBe(60);
});

test('how often a server is visited is set', async () => {
  await addDevice(hub.db, { name: 'Office', direction: 'both' }, TEST_NOW);
  const { id } = await device('Office');
  const begun = { next: TEST_NOW, syncToken: '', etags: '{}' };
  await hub.db
    .insertInto('accounts')
    .values({ device: id, base: 'https://x.example', user: 'u', password: 'p', everyMinutes: 60, ...begun })
    .execute();
  await setEvery(hub.db, await device('Office'), 5);
  const row = await hub.db.selectFrom('accounts').selectAll().executeTakeFirst();
  expect(row?.everyMinutes).toBe(5);
  expect(row?.next).not.toBe(TEST_NOW);
});

test('a device that comes when it likes can’t be told when to', async () => {
  await addDevice(hub.db, { name: 'Tablet', direction: 'both' }, TEST_NOW);
  await expect(setEvery(hub.db, await device('Tablet'), 5)).rejects.toThrow('set on the device itself');
});
