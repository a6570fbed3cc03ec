/** @jest-environment node */
import { type Limit, mayTry, wasRight } from '@/hub/store';
import { startTestHub, type TestHub } from '@/hub/testing';

const PER_NAME: Limit = { name: 'name', most: 3, withinMs: 1000 };
const PER_ADDRESS: Limit = { name: 'address', most: 5, withinMs: 1000 };

let hub: TestHub;
beforeEach(async () => (hub = await startTestHub()));
afterEach(() => hub.stop());

const tryAt = (nowMs: number, name: string) =>
  mayTry(hub.db, nowMs, [PER_NAME, name], [PER_ADDRESS, '192.0.2.7']);

test('so many tries are made within the time and no more, however many come at once', async () => {
  const made = await Promise.all(Array.from({ length: 20 }, () => tryAt(0, 'ada')));
  expect(made.filter(Boolean)).toHaveLength(3);
  expect(await tryAt(999, 'ada')).toBe(false);
  expect(await tryAt(1000, 'ada')).toBe(true);
});

test('a try that one limit refuses is counted by none', async () => {
  for (let i = 0; i < 9; i += 1) await tryAt(0, 'ada');
  expect([await tryAt(0, 'bo'), await tryAt(0, 'bo'), await tryAt(0, 'cy')]).toEqual([true, true, false]);
});

test('what was right gives back one try by the address and all by the name', async () => {
  for (let i = 0; i < 3; i += 1) await tryAt(0, 'ada');
  await wasRight(hub.db, [PER_NAME, 'ada'], [PER_ADDRESS, '192.0.2.7']);
  const made = [];
  for (let i = 0; i < 4; i += 1) made.push(await tryAt(0, 'ada'));
  expect(made).toEqual([true, true, true, false]);
});

test('it is counted on when the hub is started anew, and nothing in the store says who tried', async () => {
  for (let i = 0; i < 3; i += 1) await tryAt(0, 'ada');
  hub = await hub.restart();
  expect(await tryAt(0, 'ada')).toBe(false);
  const said = JSON.stringify(await hub.db.selectFrom('tries').selectAll().execute());
  expect(said).not.toMatch(/ada|192/);
});

test('tries from when the clock was ahead are not counted', async () => {
  for (let i = 0; i < 3; i += 1) await tryAt(1_000_000, 'ada');
  expect(await tryAt(0, 'ada')).toBe(true);
});
