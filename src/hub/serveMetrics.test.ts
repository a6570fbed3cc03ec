/** @jest-environment node */
import { once } from 'node:events';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { Metrics } from '@/hub/api';
import { NO_LOG } from '@/hub/base';
import type { HubDb } from '@/hub/store';
import { addDevice } from '@/hub/sync';
import { openTestStore, TEST_NOW } from '@/hub/testing';

import { makeHub } from './makeHub';
import { metricsPort, serveMetrics } from './serveMetrics';

let folder = '';
let db: HubDb;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-metrics-'));
  writeFileSync(join(folder, 'index.html'), '<html><head></head></html>');
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

test('the hub tells how often and how fast it answers, how much it holds, and nothing of anybody', async () => {
  const metrics = new Metrics(db);
  const hub = makeHub({ webRoot: folder, db, metrics }).listen(0, '127.0.0.1');
  const measured = serveMetrics(metrics, 0, NO_LOG);
  await Promise.all([once(hub, 'listening'), once(measured, 'listening')]);
  const at = (server: typeof measured) => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const phone = await addDevice(db, { name: 'Phone of Ada', direction: 'both' }, TEST_NOW);
  const status = async (href: string, method: string, body?: string) => {
    const headers = {
      Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`,
      'Content-Type': 'text/vcard',
    };
    const response = await fetch(`${at(hub)}/dav/books/${phone.user}/cards/${href}`, {
      method,
      headers,
      ...(body === undefined ? {} : { body }),
    });
    await response.text();
    return response.status;
  };
  expect(
    await status(
      'ada.vcf',
      'PUT',
      'BEGIN:VCARD\r\nVERSION:4.0\r\nUID:ada\r\nFN:Ada Lowther\r\nEND:VCARD\r\n',
    ),
  ).toBe(201);
  expect(await status('nobody.vcf', 'GET')).toBe(404);
  metrics.visited(true);
  const response = await fetch(`${at(measured)}/metrics`);
  const text = await response.text();
  expect(response.headers.get('content-type')).toContain('text/plain; version=0.0.4');
  // The format of Prometheus, text 0.0.4.
  expect(text).toMatch(/^cordialis_request_seconds_count\{route="[A-Z]+ \/dav[^"]*",status="201"\} 1$/m);
  expect(text).toMatch(/^cordialis_request_seconds_count\{route="[^"]*",status="404"\} 1$/m);
  expect(text).toMatch(/^cordialis_rows\{table="cards"\} 1$/m);
  expect(text).toMatch(/^cordialis_visits_total\{ended="fault"\} 1$/m);
  expect(text).toMatch(/^cordialis_waiting_writes 0$/m);
  expect(Number(/^cordialis_store_bytes (\d+)$/m.exec(text)?.[1])).toBeGreaterThan(10_000);
  expect(text).not.toMatch(/ada|nobody|Phone|phone/i);
  // On a port of its own only.
  expect((await fetch(`${at(hub)}/metrics`)).headers.get('content-type')).toContain('text/html');
  expect((await fetch(`${at(measured)}/`)).status).toBe(404);
  for (const server of [hub, measured]) server.closeAllConnections();
  await Promise.all([hub, measured].map((server) => new Promise((resolve) => server.close(resolve))));
});

test('they are served where a port is named, and nowhere else', () => {
  expect([metricsPort({}), metricsPort({ CORDIALIS_METRICS_PORT: '9464' })]).toEqual([undefined, 9464]);
  expect(() => metricsPort({ CORDIALIS_METRICS_PORT: 'many' })).toThrow('from 0 to 65535');
});
