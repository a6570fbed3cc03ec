/** @jest-environment node */
import { createServer, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';

import { pinnedFetch } from './pinnedFetch';

let server: Server;
let base = '';
beforeAll(async () => {
  server = createServer((request, response) => {
    if (request.url === '/round') response.writeHead(302, { Location: '/round' }).end();
    else if (request.url === '/on') response.writeHead(302, { Location: '/there' }).end();
    else if (request.url === '/large') {
      // More than is taken, in pieces: how much it will be isn't said.
      const piece = Buffer.alloc(8_000_000);
      for (let i = 0; i < 10; i += 1) response.write(piece);
      response.end();
    } else response.end('here');
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(() => {
  server.closeAllConnections();
  server.close();
});

test('it follows where a server leads within itself, and not without end', async () => {
  const go = pinnedFetch(`${base}/dav/`);
  expect(await (await go(`${base}/on`)).text()).toBe('here');
  expect((await go(`${base}/on`, { redirect: 'manual' })).status).toBe(302);
  await expect(go(`${base}/round`)).rejects.toThrow('leads on and on');
  await expect(go('http://elsewhere.example/')).rejects.toThrow('leads to http://elsewhere.example');
});

test('an answer that is too large ends in an error', async () => {
  const answer = await pinnedFetch(base)(`${base}/large`);
  await expect(answer.arrayBuffer()).rejects.toThrow('more than can be taken');
});

test('a visit that takes too long is ended, however quick each answer is', async () => {
  const go = pinnedFetch(base, 30_000, 20);
  expect((await go(`${base}/there`)).status).toBe(200);
  await new Promise((resolve) => setTimeout(resolve, 30));
  await expect(go(`${base}/there`)).rejects.toThrow('too slow');
});
