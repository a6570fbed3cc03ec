/** @jest-environment node */
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { createServer, request } from 'node:https';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openStore } from '@/hub/store';

import { makeHub } from './makeHub';
import { readTls } from './readTls';

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
  const db = await openStore(folder);
  const hub = makeHub({ webRoot: folder, db, names: [tls.name] });
  const server = createServer({ cert: tls.cert, key: tls.key }, hub).listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address() as AddressInfo;
  const status = (path: string, host: string, method = 'POST') =>
    new Promise<number>((resolve, reject) => {
      const headers = { Host: `${host}:${port}`, Origin: `https://${host}:${port}` };
      const asked = {
        host: '127.0.0.1',
        port,
        path,
        method,
        headers,
        ca: tls.cert,
        servername: 'hub.example',
      };
      request(asked, (answer) => resolve(answer.statusCode ?? 0))
        .on('error', reject)
        .end();
    });
  expect(await status('/dav/', 'hub.example', 'OPTIONS')).toBe(200);
  expect(await status('/api/pair', 'hub.example')).toBe(400);
  expect(await status('/api/pair', 'elsewhere.example')).toBe(403);
  server.closeAllConnections();
  server.close();
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});
