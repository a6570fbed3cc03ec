/** @jest-environment node */
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as plainRequest } from 'node:http';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openTestStore } from '@/hub/testing';

import { makeHub } from './makeHub';
import { readProxy, readTls } from './readTls';

// Made for these tests, for hub.example: openssl req -x509 -newkey rsa:2048 -nodes.
const CORDIALIS_CERT = 'test/fixtures/tls/cert.pem';
const CORDIALIS_KEY = 'test/fixtures/tls/key.pem';
const given = { CORDIALIS_CERT, CORDIALIS_KEY, CORDIALIS_NAME: 'hub.example', CORDIALIS_TLS_PORT: '0' };

test('no certificate means no TLS; half of what it takes is said to be missing', () => {
  expect(readTls({})).toBeUndefined();
  expect(() => readTls({ CORDIALIS_CERT })).toThrow('CORDIALIS_CERT, CORDIALIS_KEY and CORDIALIS_NAME');
  expect(() => readTls({ ...given, CORDIALIS_TLS_PORT: 'many' })).toThrow('from 0 to 65535');
});

test('with a certificate devices are answered over TLS, and pages under its name and no other', async () => {
  const tls = readTls(given);
  if (!tls) throw new Error('no certificate was read');
  const folder = mkdtempSync(join(tmpdir(), 'cordialis-tls-'));
  writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
  const db = await openTestStore(folder);
  const hub = makeHub({ webRoot: folder, db, names: [tls.name] });
  const server = createServer({ cert: tls.cert, key: tls.key }, hub).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const at = { host: '127.0.0.1', port, ca: tls.cert, servername: 'hub.example' };
  const status = (path: string, host: string, method = 'POST') =>
    new Promise<number>((resolve, reject) => {
      const headers = { Host: `${host}:${port}`, Origin: `https://${host}:${port}` };
      request({ ...at, path, method, headers }, (answer) => resolve(answer.statusCode ?? 0))
        .on('error', reject)
        .end();
    });
  const strict = await new Promise<string | undefined>((resolve) => {
    request({ ...at, path: '/book', method: 'GET', headers: { Host: `hub.example:${port}` } }, (answer) =>
      resolve(answer.headers['strict-transport-security']),
    ).end();
  });
  // RFC 6797 §6.1: for this name only, and never said where TLS isn't used (§7.2).
  expect(strict).toBe('max-age=15552000');
  expect(await status('/dav/', 'hub.example', 'OPTIONS')).toBe(200);
  expect(await status('/api/pair', 'hub.example')).toBe(400);
  expect(await status('/api/pair', 'elsewhere.example')).toBe(403);
  server.closeAllConnections();
  server.close();
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

test('behind a proxy that is named, and behind no other, it is believed from where and how a request came', async () => {
  expect([readProxy({}), readProxy({ CORDIALIS_TRUST_PROXY: '1' })]).toEqual([undefined, 1]);
  expect(readProxy({ CORDIALIS_TRUST_PROXY: 'loopback' })).toBe('loopback');
  const folder = mkdtempSync(join(tmpdir(), 'cordialis-proxy-'));
  writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
  const db = await openTestStore(folder);
  for (const trustProxy of [undefined, 'loopback']) {
    const hub = makeHub({
      ...{ webRoot: folder, db, names: ['hub.example'] },
      ...(trustProxy === undefined ? {} : { trustProxy }),
    });
    const server = hub.listen(0, '127.0.0.1');
    await once(server, 'listening');
    const { port } = server.address() as AddressInfo;
    const asked = { host: '127.0.0.1', port, method: 'POST', path: '/api/pair' };
    const headers = { Host: 'hub.example', Origin: 'https://hub.example', 'X-Forwarded-Proto': 'https' };
    const answer = await new Promise<{ status?: number | undefined; strict: string | undefined }>((resolve) =>
      plainRequest({ ...asked, headers }, ({ statusCode, headers: said }) =>
        resolve({ status: statusCode, strict: said['strict-transport-security'] }),
      ).end(),
    );
    expect(answer).toEqual(
      trustProxy === undefined
        ? { status: 403, strict: undefined }
        : { status: 400, strict: 'max-age=15552000' },
    );
    server.closeAllConnections();
    server.close();
  }
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});
