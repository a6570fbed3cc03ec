/** @jest-environment node */
import { existsSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:http';
import type { AddressInfo, Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { makeHub } from '@/hub/makeHub';
import { type HubDb } from '@/hub/store';
import { addDevice, makeCode, pairBrowser } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { openTestStore, TEST_NOW } from '@/hub/testing';

let folder = '';
let db: HubDb;
let server: Server;
let port = 0;
let token = '';
let phone: Credentials;

beforeAll(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-intrusion-'));
  writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
  writeFileSync(join(folder, 'secret.txt'), 'not for anybody');
  db = await openTestStore(join(folder, 'data'));
  token =
    (await pairBrowser(db, { code: await makeCode(db, Date.now()), name: 'One' }, Date.now()))?.token ?? '';
  phone = await addDevice(db, { name: 'Phone', direction: 'both' }, TEST_NOW);
  const hub = makeHub({ webRoot: join(folder), db });
  server = await new Promise<Server>((resolve) => {
    const one = hub.listen(0, '127.0.0.1', () => resolve(one));
  });
  port = (server.address() as AddressInfo).port;
});
afterAll(async () => {
  await new Promise((resolve) => server.close(resolve));
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

interface Asked {
  readonly method?: string;
  readonly path: string;
  readonly headers?: Record<string, string>;
  readonly body?: string;
}

/** A request as it is, its path not tidied up first. */
function ask({ method = 'GET', path, headers = {}, body }: Asked): Promise<{ status: number; text: string }> {
  return new Promise((resolve, reject) => {
    const sent = request({ host: '127.0.0.1', port, method, path, headers }, (answer) => {
      let text = '';
      answer.on('data', (piece) => (text += String(piece)));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, text }));
    });
    // A hub that has heard enough may hang up before all is said.
    sent.on('error', (error: NodeJS.ErrnoException) =>
      error.code === 'EPIPE' || error.code === 'ECONNRESET'
        ? resolve({ status: 413, text: '' })
        : reject(error),
    );
    sent.end(body);
  });
}
const paired = () => ({ Authorization: `Bearer ${token}`, 'Content-Type': 'application/json' });
const asPhone = () => ({
  Authorization: `Basic ${Buffer.from(`${phone.user}:${phone.password}`).toString('base64')}`,
});

test.each([
  '/../../../../etc/passwd',
  '/..%2f..%2f..%2fetc/passwd',
  '/_expo/..%2f..%2fsecret.txt',
  '/assets/%2e%2e/%2e%2e/data/hub.db',
  '/data/hub.key/..%00',
  '/calendar/..%2f..%2fdata%2fhub.key',
  '/api/calendar/../../data/hub.key',
])('no path leads out of what is served: %s', async (path) => {
  const { text } = await ask({ path });
  expect(text).not.toContain('root:');
  expect(text).not.toContain('SQLite format');
  expect(text).not.toContain('sealed');
  expect(text).not.toContain('not for anybody');
});

test.each([
  '/dav/books/%2e%2e/cards/',
  '/dav/books/other/cards/x.vcf',
  '/dav/books/phone/..%2f..%2fx',
  '/dav/%00',
])('a device gets nothing but its own: %s', async (path) => {
  expect([400, 404]).toContain((await ask({ path, headers: asPhone() })).status);
});

test('a card’s address is never a path on the disk', async () => {
  const body = 'BEGIN:VCARD\r\nVERSION:3.0\r\nUID:x\r\nFN:X\r\nN:X;;;;\r\nEND:VCARD\r\n';
  const before = readdirSync(join(folder, 'data')).sort();
  const path = `/dav/books/${phone.user}/cards/..%2f..%2fevil.vcf`;
  const { status } = await ask({
    method: 'PUT',
    path,
    headers: { ...asPhone(), 'Content-Type': 'text/vcard' },
    body,
  });
  expect([201, 404]).toContain(status);
  expect(existsSync(join(folder, 'evil.vcf'))).toBe(false);
  expect(readdirSync(join(folder, 'data')).sort()).toEqual(before);
});

const SIZES: readonly {
  name: string;
  path: string;
  octets: number;
  headers: () => Record<string, string>;
}[] = [
  { name: 'pairing', path: '/api/pair', octets: 10_000, headers: paired },
  { name: 'the exchange', path: '/api/exchange/push', octets: 70_000_000, headers: paired },
  { name: 'shared records', path: '/api/exchange/records', octets: 70_000_000, headers: paired },
  { name: 'devices', path: '/api/devices', octets: 2_000_000, headers: paired },
  { name: 'stand-ins', path: '/api/standins/phone/cards', octets: 2_000_000, headers: paired },
];
test.each(SIZES)('what is too large is refused: $name', async ({ path, octets, headers }) => {
  const body = JSON.stringify({ name: 'x'.repeat(octets) });
  expect((await ask({ method: 'POST', path, headers: headers(), body })).status).toBe(413);
});

test.each([
  ['/api/exchange/push', 'nonsense'],
  ['/api/exchange/push', '{"since":-1,"changes":[]}'],
  ['/api/exchange/records', '{"since":0,"records":[{"kind":"password","id":"x","value":1}],"gone":[]}'],
  ['/api/devices', '{"name":"","direction":"sideways"}'],
  ['/api/devices', '{"name":"x","direction":"both","photoSide":-4}'],
])('what makes no sense is refused: %s %s', async (path, body) => {
  expect((await ask({ method: 'POST', path, headers: paired(), body })).status).toBe(400);
});

test('a name with line ends goes into no header', async () => {
  const name = 'Phone\r\nSet-Cookie: a=b';
  const body = JSON.stringify({ name, direction: 'both' });
  const { status, text } = await ask({ method: 'POST', path: '/api/devices', headers: paired(), body });
  expect(status).toBe(201);
  const { user } = JSON.parse(text) as { user: string };
  expect(user).toMatch(/^[a-z0-9-]+$/);
});

test.each([
  ['another origin', { Origin: 'https://elsewhere.example' }],
  ['another name for this machine', { Host: 'elsewhere.example' }],
])('a page of %s is not answered', async (_, headers) => {
  const { status } = await ask({ path: '/api/devices', headers: { ...paired(), ...headers } });
  expect(status).toBe(403);
});

test.each([
  ['/api/devices', ''],
  ['/api/exchange/pull', 'Bearer nobodynobodynobodynobody'],
  ['/api/exchange/records', "Bearer ' or 1=1 --"],
  ['/api/standins/phone', 'Basic cGhvbmU6'],
])('without a browser’s token nothing is told: %s', async (path, authorization) => {
  expect(
    (await ask({ path, headers: authorization === '' ? {} : { Authorization: authorization } })).status,
  ).toBe(401);
});

test.each(["'; drop table devices; --", '%27%20or%201=1', '../devices', '__proto__'])(
  'a name that is none does no harm: %s',
  async (name) => {
    const path = `/api/devices/${encodeURIComponent(name)}`;
    expect((await ask({ method: 'PATCH', path, headers: paired(), body: '{"isPaused":true}' })).status).toBe(
      404,
    );
    expect((await ask({ path: '/api/devices', headers: paired() })).status).toBe(200);
  },
);
