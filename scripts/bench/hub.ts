// Figures of the hub with 11,000 cards: syncs, new cards, and writes that survive being killed. Prints one JSON value.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import express from 'express';

import { newCard } from '@/core/card';
import { generateLargeBook } from '@/demo';
import { gate } from '@/hub/access';
import { davRouter } from '@/hub/dav';
import { allCards, inTransaction, openStore, putCard } from '@/hub/store';
import { addDevice } from '@/hub/sync';

const CARDS = 11_000;
const KILLS = 50;
/** Devices that come at the same time. */
const DEVICES = 16;
const NOW = '2026-11-26T10:00:00Z';

// The same program is what gets killed: it writes cards until then, and says each that has been answered.
if (process.argv[2] === 'write') await writeUntilKilled(process.argv[3] ?? '', Number(process.argv[4]));
else console.log(JSON.stringify({ ...(await measureSync()), ...(await measureKills()) }));

async function measureSync(): Promise<object> {
  const folder = mkdtempSync(join(tmpdir(), 'cordialis-bench-'));
  const db = await openStore(folder);
  const source = { at: NOW, device: null, says: 'bench' };
  await inTransaction(db, async (store) => {
    for (const card of generateLargeBook(CARDS, 1)) await putCard(store, card.uid, card, source);
  });
  const { user, password } = await addDevice(db, { name: 'bench', direction: 'both' }, NOW);
  const app = express();
  app.use(gate({ db, isDemo: false, utcNow: () => NOW }));
  app.use('/dav', davRouter({ db, country: 'GB', utcNow: () => NOW }));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}/dav/books/${user}/cards/`;
  const headers = { Authorization: `Basic ${btoa(`${user}:${password}`)}` };
  const sync = async (token: string, data = '') => {
    const body = `<d:sync-collection xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:sync-token>${token}</d:sync-token><d:prop><d:getetag/>${data}</d:prop></d:sync-collection>`;
    const start = performance.now();
    const text = await (await fetch(base, { method: 'REPORT', headers, body })).text();
    const next = /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '';
    return { ms: performance.now() - start, token: next, isMore: text.includes('507 Insufficient') };
  };
  /** All parts of one. */
  const syncWhole = async (from: string, data = '') => {
    let ms = 0;
    for (let token = from; ;) {
      const part = await sync(token, data);
      ms += part.ms;
      token = part.token;
      if (!part.isMore) return { ms, token };
    }
  };
  const syncAs = async (one: { user: string; password: string }, token: string) => {
    const path = base.replace(`/${user}/`, `/${one.user}/`);
    const body = `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${token}</d:sync-token><d:prop><d:getetag/></d:prop></d:sync-collection>`;
    const auth = { Authorization: `Basic ${btoa(`${one.user}:${one.password}`)}` };
    await (await fetch(path, { method: 'REPORT', headers: auth, body })).text();
  };
  const etags = await syncWhole('');
  const nothing: number[] = [];
  for (let i = 0; i < 50; i += 1) nothing.push((await sync(etags.token)).ms);
  const whole = await syncWhole('', '<c:address-data/>');
  const puts: number[] = [];
  for (let i = 0; i < 100; i += 1) {
    const body = `BEGIN:VCARD\r\nVERSION:3.0\r\nUID:bench-${i}\r\nFN:Qwz${i} Vbn\r\nN:Vbn;Qwz${i};;;\r\nEND:VCARD\r\n`;
    const start = performance.now();
    await fetch(`${base}bench-${i}.vcf`, {
      method: 'PUT',
      headers: { ...headers, 'Content-Type': 'text/vcard' },
      body,
    });
    puts.push(performance.now() - start);
  }
  const hundred = await sync(etags.token, '<c:address-data/>');
  const others = await Promise.all(
    Array.from({ length: DEVICES }, (_, i) => addDevice(db, { name: `other ${i}`, direction: 'both' }, NOW)),
  );
  const startAll = performance.now();
  await Promise.all(others.map((one) => syncAs(one, '')));
  const manyMs = performance.now() - startAll;
  server.closeAllConnections();
  server.close();
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
  return {
    hundredMs: Math.round(hundred.ms),
    manyDevicesMs: Math.round(manyMs),
    putsPerSecond: Math.round(1000 / middle(puts.slice(1))),
    firstSyncMs: Math.round(etags.ms + whole.ms),
    nothingNewMs: middle(nothing),
    // The first one makes what newcomers are compared with.
    putMs: middle(puts.slice(1)),
    firstPutMs: Math.round(puts[0] ?? 0),
  };
}

/** Kills a writing process at random moments: every write that was answered must be there. */
async function measureKills(): Promise<object> {
  const folder = mkdtempSync(join(tmpdir(), 'cordialis-kill-'));
  let answered = 0;
  let lost = 0;
  for (let round = 0; round < KILLS; round += 1) {
    const child = spawn(process.execPath, [process.argv[1] ?? '', 'write', folder, String(round)], {
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    let said = '';
    child.stdout.on('data', (text: Buffer) => (said += text.toString()));
    await new Promise((resolve) => child.stdout.once('data', resolve));
    await new Promise((resolve) => setTimeout(resolve, Math.random() * 120));
    child.kill('SIGKILL');
    await new Promise((resolve) => child.once('close', resolve));
    const uids = said.split('\n').slice(0, -1);
    const db = await openStore(folder);
    const there = new Set((await allCards(db)).map(({ uid }) => uid));
    await db.destroy();
    answered += uids.length;
    lost += uids.filter((uid) => !there.has(uid)).length;
  }
  if (!existsSync(join(folder, 'hub.db')) || readFileSync(join(folder, 'hub.db')).length === 0)
    throw new Error('nothing was written at all');
  rmSync(folder, { recursive: true, force: true });
  return { kills: KILLS, answeredWrites: answered, lostWrites: lost };
}

async function writeUntilKilled(folder: string, round: number): Promise<void> {
  const db = await openStore(folder);
  for (let i = 0; ; i += 1) {
    const uid = `${round}-${i}`;
    await inTransaction(db, (store) =>
      putCard(store, uid, newCard(uid, NOW), { at: NOW, device: null, says: 'written' }),
    );
    process.stdout.write(`${uid}\n`);
  }
}

function middle(times: number[]): number {
  return Number((times.sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? 0).toFixed(1));
}
