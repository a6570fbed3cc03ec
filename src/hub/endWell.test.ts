/** @jest-environment node */
import { once } from 'node:events';
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import { NO_LOG } from '@/hub/base';

import { endWell } from './endWell';

let server: Server;
let base = '';
let answer: (() => void) | undefined;
let closed = 0;
beforeEach(async () => {
  closed = 0;
  answer = undefined;
  server = createServer((request, response) => {
    if (request.url === '/quick') return void response.end('done');
    if (request.url === '/slow') answer = () => void response.end('done');
    else response.write('listening');
    if (request.url === '/events') server.once('ending', () => response.end());
  }).listen(0, '127.0.0.1');
  await once(server, 'listening');
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => server.closeAllConnections());

const end = (graceMs?: number) =>
  endWell({
    ...{ servers: [server], log: NO_LOG },
    ...(graceMs === undefined ? {} : { graceMs }),
    tellListeners: () => void server.emit('ending'),
    close: async () => void (closed += 1),
  });
const begun = async () => {
  while (!answer) await new Promise((resolve) => setTimeout(resolve, 5));
};

test('what is under way is answered, nothing new is taken, and then the store is closed', async () => {
  // Its connection stays open for another request.
  await (await fetch(`${base}/quick`)).text();
  const slow = fetch(`${base}/slow`).then((response) => response.text());
  await begun();
  const ending = end();
  await new Promise((resolve) => setTimeout(resolve, 150));
  expect(closed).toBe(0);
  await expect(fetch(`${base}/quick`, { headers: { Connection: 'close' } })).rejects.toThrow();
  answer?.();
  expect([await slow, await ending, closed]).toEqual(['done', true, 1]);
});

test('whoever listens is sent away, not cut off', async () => {
  const events = await fetch(`${base}/events`);
  const heard = events.text();
  expect(await end()).toBe(true);
  expect(await heard).toBe('listening');
});

test('what takes too long is cut off', async () => {
  const hanging = fetch(`${base}/hanging`).then((response) => response.text());
  const failed = expect(hanging).rejects.toThrow();
  const slow = fetch(`${base}/slow`).catch(() => 'cut off');
  await begun();
  expect([await end(200), await slow, closed]).toEqual([false, 'cut off', 1]);
  await failed;
});
