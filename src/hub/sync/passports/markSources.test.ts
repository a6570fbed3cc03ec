/** @jest-environment node */
import { findCard, lastSeq, putCard } from '@/hub/store';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

import { markSources } from './markSources';
import { addDevice, listDevices } from './passports';

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub();
});
afterEach(() => hub.stop());

test('what once came from a device is marked as kept there, once, and nothing else', async () => {
  await addDevice(hub.db, { name: 'Office', direction: 'both' }, TEST_NOW);
  const [office] = await listDevices(hub.db);
  if (!office) throw new Error('no device');
  const put = (uid: string, device: number | null) =>
    putCard(hub.db, uid, testPerson(uid, uid), { at: TEST_NOW, device, says: 'put' });
  await put('theirs', office.id);
  await put('ours', null);
  // Changed by the device, and not brought by it.
  await put('ours', office.id);
  await markSources(hub.db, office, TEST_NOW);
  const sources = async (uid: string) => (await findCard(hub.db, uid))?.['cordialis.example:sources'];
  expect([await sources('theirs'), await sources('ours')]).toEqual([{ Office: true }, undefined]);
  const seq = await lastSeq(hub.db);
  await markSources(hub.db, office, TEST_NOW);
  expect(await lastSeq(hub.db)).toBe(seq);
});
