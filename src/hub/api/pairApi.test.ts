/** @jest-environment node */
import { findBrowser, makeCode, pairBrowser } from '@/hub/sync';
import { startTestHub, type TestHub } from '@/hub/testing';

import { pairApi } from './pairApi';

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub((app, db) => app.use('/api/pair', pairApi(db, false)));
});
afterEach(() => hub.stop());

const pair = async (code: string) => {
  const body = JSON.stringify({ code, name: 'Firefox' });
  const headers = { 'Content-Type': 'application/json' };
  const response = await fetch(`${hub.base}/api/pair`, { method: 'POST', body, headers });
  return response.status;
};

test('of many codes at once only ten are tried, and a good one is no worse for it', async () => {
  const code = await makeCode(hub.db, Date.now());
  const statuses = await Promise.all(Array.from({ length: 50 }, (_, i) => pair(`WRONG-${i}`)));
  expect(statuses.filter((status) => status === 403)).toHaveLength(10);
  expect(statuses.filter((status) => status === 429)).toHaveLength(40);
  expect(await hub.db.selectFrom('codes').selectAll().execute()).toHaveLength(1);
  expect(await pair(code)).toBe(429);
  // A hub that is started anew still counts.
  hub = await hub.restart();
  expect(await pair(code)).toBe(429);
  // Ten minutes later, as far as the limit goes.
  await hub.db.updateTable('tries').set({ untilMs: Date.now() }).execute();
  expect(await pair(code)).toBe(201);
});

test('a code that was mistyped some times is good still, and tries are forgotten with it', async () => {
  for (let round = 0; round < 3; round += 1) {
    const code = await makeCode(hub.db, Date.now());
    for (let i = 0; i < 9; i += 1) expect(await pair('WRONG')).toBe(403);
    expect(await pair(code)).toBe(201);
  }
});

test('a code that was made when the clock was ahead is no longer good', async () => {
  const code = await makeCode(hub.db, Date.now() + 24 * 3600 * 1000);
  expect(await pairBrowser(hub.db, { code, name: 'One' }, Date.now())).toBeUndefined();
  const good = await makeCode(hub.db, Date.now());
  expect(await pairBrowser(hub.db, { code: good, name: 'One' }, Date.now() + 1)).toMatchObject({
    name: 'One',
  });
});

test('a token that hasn’t been used for half a year is no longer good', async () => {
  const nowMs = Date.now();
  const paired = await pairBrowser(hub.db, { code: await makeCode(hub.db, nowMs), name: 'Old' }, nowMs);
  const days = (count: number) => nowMs + count * 24 * 3600 * 1000;
  expect(await findBrowser(hub.db, paired?.token ?? '', days(179))).toMatchObject({ name: 'Old' });
  expect(await findBrowser(hub.db, paired?.token ?? '', days(181))).toBeUndefined();
});
