/** @jest-environment node */
import { entriesFor, listUsers, readDirectoryLog, signInUser } from '@/hub/directory';
import { DEMO_ACCESS } from '@/texts/base/demoAccess';

import { stageDirectory } from './stageDirectory';
import { startTestHub, type TestHub } from './testing';

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub();
});
afterEach(() => hub.stop());

test('the demo’s directory has people, three roles with the passphrase that the page says, and a log', async () => {
  const { db } = hub;
  await stageDirectory(db, '2026-11-29');
  expect((await listUsers(db)).map(({ role }) => role)).toEqual(['administrator', 'editor', 'reader']);
  const entries = await entriesFor(db, 'reader', '2026-11-29');
  expect(entries.length).toBeGreaterThan(10);
  for (const { name, role } of DEMO_ACCESS.users)
    expect((await signInUser(db, { name, passphrase: DEMO_ACCESS.passphrase }, 0))?.role).toBe(role);
  expect((await readDirectoryLog(db)).length).toBeGreaterThan(entries.length);
});

test('one that somebody has made stays as it is', async () => {
  const { db } = hub;
  await stageDirectory(db, '2026-11-29');
  const before = await readDirectoryLog(db);
  await stageDirectory(db, '2026-11-30');
  expect(await readDirectoryLog(db)).toEqual(before);
});
