/** @jest-environment node */
// Signing in: tries are counted before a password is looked at, and nothing is read of whoever isn't let in.
import { scryptSync } from 'node:crypto';
import { request } from 'node:http';

import { isSecret } from '@/hub/base/secrets';
import { addDevice } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

jest.mock('@/hub/base/secrets', () => {
  const actual = jest.requireActual<{ readonly isSecret: typeof isSecret }>('@/hub/base/secrets');
  return { ...actual, isSecret: jest.fn(actual.isSecret) };
});
const looked = jest.mocked(isSecret);

let hub: TestHub;
beforeEach(async () => (hub = await startTestHub()));
afterEach(() => hub.stop());

const statusOf = async (user: string, password: string) => {
  const headers = { Authorization: `Basic ${btoa(`${user}:${password}`)}`, Depth: '0' };
  const response = await fetch(`${hub.base}/dav/`, { method: 'PROPFIND', headers });
  await response.text();
  return response.status;
};

test('of many wrong passwords at once only ten are looked at, and whoever is known stays let in', async () => {
  const phone = await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  expect(await statusOf(phone.user, phone.password)).toBe(207);
  looked.mockClear();
  const statuses = await Promise.all(
    Array.from({ length: 200 }, (_, i) => statusOf(phone.user, `wrong ${i}`)),
  );
  expect(statuses.filter((status) => status === 401)).toHaveLength(10);
  expect(statuses.filter((status) => status === 429)).toHaveLength(190);
  expect(looked).toHaveBeenCalledTimes(10);
  expect(await statusOf(phone.user, phone.password)).toBe(207);
});

test('names that nobody has are counted by where they come from', async () => {
  const statuses = await Promise.all(Array.from({ length: 100 }, (_, i) => statusOf(`nobody-${i}`, 'wrong')));
  expect(statuses.filter((status) => status === 401)).toHaveLength(60);
});

test('a right password that comes many times at once is looked at once', async () => {
  const phone = await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  looked.mockClear();
  const statuses = await Promise.all(Array.from({ length: 30 }, () => statusOf(phone.user, phone.password)));
  expect(new Set(statuses)).toEqual(new Set([207]));
  expect(looked).toHaveBeenCalledTimes(1);
});

test('a password that was kept less hard is kept anew when it is told', async () => {
  const phone = await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  const hash = scryptSync(phone.password, 'aa', 32).toString('hex');
  await hub.db.updateTable('devices').set({ salt: 'aa', hash }).execute();
  expect(await statusOf(phone.user, phone.password)).toBe(207);
  const now = await hub.db.selectFrom('devices').select(['hash', 'salt']).executeTakeFirst();
  expect(now?.hash).toMatch(/^scrypt\$/);
  expect(await statusOf(phone.user, phone.password)).toBe(207);
});

test('a body is not read before it is known who sends it', async () => {
  const status = await new Promise<number>((resolve, reject) => {
    const asked = request(`${hub.base}/dav/books/nobody/cards/a.vcf`, {
      method: 'PUT',
      headers: { 'Content-Type': 'text/vcard', 'Content-Length': 16_000_000 },
    });
    asked.on('response', (response) => {
      resolve(response.statusCode ?? 0);
      asked.destroy();
    });
    asked.on('error', reject);
    // A first piece only: a hub that waited for all of it would never answer.
    asked.write('BEGIN:VCARD\r\n');
  });
  expect(status).toBe(401);
});
