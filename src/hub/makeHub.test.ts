import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import type { AddressInfo, Server } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync } from 'node:zlib';

import { makeHub } from './makeHub';

const servers: Server[] = [];

async function start(demoDay?: string): Promise<string> {
  const webRoot = mkdtempSync(join(tmpdir(), 'cordialis-'));
  mkdirSync(join(webRoot, '_expo'), { recursive: true });
  writeFileSync(
    join(webRoot, 'index.html'),
    `<html><head></head><body>${'the page '.repeat(300)}</body></html>`,
  );
  mkdirSync(join(webRoot, 'reader', '1.0.0'), { recursive: true });
  writeFileSync(join(webRoot, 'reader', '1.0.0', 'worker.js'), '1');
  writeFileSync(join(webRoot, '_expo', 'entry-0123.js'), '1');
  writeFileSync(join(webRoot, '_expo', 'entry-0123.js.br'), brotliCompressSync('1'));
  const server = makeHub({ webRoot, ...(demoDay ? { demoDay } : {}) }).listen(0, '127.0.0.1') as Server;
  servers.push(server);
  await new Promise((resolve) => server.once('listening', resolve));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
}
/** The policy of scripts that an address is answered with. */
async function scriptsOf(address: string): Promise<string | undefined> {
  const { headers } = await fetch(address);
  return /script-src [^;]*/.exec(headers.get('content-security-policy') ?? '')?.[0];
}
afterAll(() => servers.forEach((server) => server.close()));

test('every place of the application is answered with the page, which is never kept', async () => {
  const url = await start();
  for (const place of ['/', '/book', '/book/some-card/edit', '/nowhere']) {
    const response = await fetch(url + place);
    expect([response.status, response.headers.get('cache-control')]).toEqual([200, 'no-cache']);
    expect(await response.text()).toContain('the page');
  }
});

test('WebAssembly runs in the worker that reads pictures and nowhere else', async () => {
  const url = await start();
  expect(await scriptsOf(`${url}/reader/1.0.0/worker.js`)).toBe("script-src 'self' 'wasm-unsafe-eval'");
  for (const other of ['/', '/_expo/entry-0123.js', '/readers'])
    expect([other, await scriptsOf(url + other)]).toEqual([other, "script-src 'self'"]);
});

test('scripts can’t be evaluated from text, framed or sniffed', async () => {
  const { headers } = await fetch(await start());
  const policy = headers.get('content-security-policy') ?? '';
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain('unsafe-eval');
  expect(policy).toContain("frame-ancestors 'none'");
  expect(headers.get('x-content-type-options')).toBe('nosniff');
  expect(headers.get('x-powered-by')).toBeNull();
});

test('files named by their hash are kept, missing ones are not answered with the page', async () => {
  const url = await start();
  expect((await fetch(`${url}/_expo/entry-0123.js`)).headers.get('cache-control')).toMatch(/immutable/);
  expect((await fetch(`${url}/_expo/gone.js`)).status).toBe(404);
  expect((await fetch(`${url}/_expo/%2e%2e/index.html`)).status).not.toBe(500);
});

test('answers are compressed', async () => {
  const response = await fetch(await start(), { headers: { 'Accept-Encoding': 'gzip' } });
  expect(response.headers.get('content-encoding')).toBe('gzip');
});

test('a Brotli twin is sent for its file to those who take it, as what the file is', async () => {
  const url = await start();
  const taken = await fetch(`${url}/_expo/entry-0123.js`, { headers: { 'Accept-Encoding': 'br' } });
  expect([taken.headers.get('content-encoding'), taken.headers.get('cache-control')]).toEqual([
    'br',
    expect.stringMatching(/immutable/),
  ]);
  expect(taken.headers.get('content-type')).toMatch(/javascript/);
  expect(await taken.text()).toBe('1');
  const plain = await fetch(`${url}/_expo/entry-0123.js`, { headers: { 'Accept-Encoding': 'identity' } });
  expect([plain.headers.get('content-encoding'), await plain.text()]).toEqual([null, '1']);
});

test('only the demo has the demo’s cards, and says so in its page', async () => {
  const [demo, own] = [await start('2026-11-24'), await start()];
  const cards = (await (await fetch(`${demo}/api/demo/cards`)).json()) as unknown[];
  expect(cards.length).toBeGreaterThan(200);
  expect((await fetch(`${own}/api/demo/cards`)).status).toBe(404);
  expect(await (await fetch(demo)).text()).toContain('content="demo"');
  expect(await (await fetch(own)).text()).toContain('content="own"');
});
