/** @jest-environment node */
import { appendFileSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { type HubDb, putCard } from '@/hub/store';
import { addDevice, listDevices, noteVisit } from '@/hub/sync';
import { openTestStore, TEST_NOW, testPerson } from '@/hub/testing';

import { examine } from './doctor';

let folder = '';
let db: HubDb;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-doctor-'));
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

const nowMs = Date.parse(TEST_NOW);
const look = (more: { nowMs?: number; env?: Record<string, string> } = {}) =>
  examine(db, folder, { nowMs, env: {}, ...more });
/** Made for tests, for hub.example. */
const TLS = {
  ...{ CORDIALIS_CERT: 'test/fixtures/tls/cert.pem', CORDIALIS_KEY: 'test/fixtures/tls/key.pem' },
  CORDIALIS_NAME: 'hub.example',
};

test('a hub that is well has no problems, and its sizes are told', async () => {
  await putCard(db, 'ada', testPerson('ada', 'Ada Lowther'), { at: TEST_NOW, device: null, says: 'put' });
  const { problems, sizes } = await look();
  expect(problems).toEqual([]);
  expect(sizes).toMatchObject({ cards: 1, changes: 1, devices: 0, 'hub.key': 32, store: expect.any(Number) });
});

test('a clock that was set back is told by what has been written', async () => {
  await putCard(db, 'ada', testPerson('ada', 'Ada Lowther'), { at: TEST_NOW, device: null, says: 'put' });
  const { problems } = await look({ nowMs: nowMs - 24 * 3600 * 1000 });
  expect(problems).toEqual([expect.stringMatching(/clock says 2026-11-25.*2026-11-26/)]);
});

test('a certificate that is gone, has ended or is another’s is told', async () => {
  const { certificate } = await look({ env: TLS });
  const untilMs = Date.parse(certificate?.until ?? '');
  const told = async (env: Record<string, string>, at: number) => (await look({ env, nowMs: at })).problems;
  expect(await told(TLS, untilMs - 30 * 24 * 3600 * 1000)).toEqual([]);
  expect(await told(TLS, untilMs - 24 * 3600 * 1000)).toEqual([expect.stringMatching(/certificate ends on/)]);
  expect(await told(TLS, untilMs + 1000)).toEqual([expect.stringMatching(/certificate ended on/)]);
  expect(await told({ ...TLS, CORDIALIS_NAME: 'other.example' }, nowMs)).toEqual([
    'the certificate is not for other.example',
  ]);
  expect(await told({ ...TLS, CORDIALIS_CERT: 'gone.pem' }, nowMs)).toEqual([
    expect.stringMatching(/gone.pem can't be read/),
  ]);
});

test('the last visit’s fault and the log’s last faults are told', async () => {
  await addDevice(db, { name: 'Office', direction: 'both' }, TEST_NOW);
  const [office] = await listDevices(db);
  if (!office) throw new Error('no device');
  await noteVisit(db, office, TEST_NOW, { went: 0, fault: 'cards.example doesn’t answer' });
  appendFileSync(
    join(folder, 'hub.log'),
    '{"level":30,"msg":"refused"}\n{"level":50,"msg":"fault"}\nhalf a li',
  );
  const { problems, faults } = await look();
  expect(problems).toEqual([expect.stringMatching(/last visit of Office.*doesn’t answer/)]);
  expect(faults).toEqual([{ level: 50, msg: 'fault' }]);
});
