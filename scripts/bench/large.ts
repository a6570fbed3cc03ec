// A large book with photos and many devices, at a hub of its own process: first looks, queries, first syncs, and how long others wait
// meanwhile. Prints one JSON value.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { generateLargeBook } from '@/demo';
import { inTransaction, openStore, putCard } from '@/hub/store';
import type { Credentials } from '@/hub/sync';

import { freePort, peakOf, startHubs, stop } from './servers';

const CARDS = Number(process.env['CARDS'] ?? 11_000);
/** Every so manieth card has a photo, of so many octets. */
const [PHOTOS, PHOTO_OCTETS] = [5, 20_000];
/** Devices that come at the same time. */
const DEVICES = 16;
const SOURCE = { at: '2026-11-26T10:00:00Z', device: null, says: 'bench' };

const folder = mkdtempSync(join(tmpdir(), 'cordialis-bench-'));
const metricsPort = await freePort();
process.env['CORDIALIS_METRICS_PORT'] = String(metricsPort);
const names: string[] = [];
const store = process.env['BENCH_STORE'];
const hub = await startHubs(folder, 'large', 1, store, {
  devices: DEVICES + 3,
  cards: async (db) => {
    const cards = [...generateLargeBook(CARDS, 1)];
    for (let i = 0; i < cards.length; i += 500)
      await inTransaction(db, async (store) => {
        for (const [j, card] of cards.slice(i, i + 500).entries()) {
          const at = i + j;
          const name = card.name?.full ?? card.name?.components?.map(({ value }) => value).join(' ') ?? '';
          if (at % 500 === 0 && name !== '') names.push(name);
          const media = { m1: { kind: 'photo' as const, uri: photoOf(at) } };
          await putCard(store, card.uid, at % PHOTOS === 0 ? { ...card, media } : card, SOURCE);
        }
      });
  },
});
const [base = ''] = hub.bases;
const pid = hub.processes[0]?.pid ?? 0;
const [cold, warm, reader, ...others] = hub.others;

/** Random octets can't be made smaller, as those of a picture. */
function photoOf(seed: number): string {
  const octets = Buffer.alloc(PHOTO_OCTETS);
  let state = seed + 1;
  for (let i = 0; i < octets.length; i += 4) {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    octets.writeUInt32LE(state, i);
  }
  return `data:image/jpeg;base64,${octets.toString('base64')}`;
}

async function ask(who: Credentials | undefined, method: string, body: string, headers = {}) {
  const { user, password } = who ?? hub;
  const start = performance.now();
  const response = await fetch(`${base}/dav/books/${user}/cards/`, {
    method,
    body,
    headers: { Authorization: `Basic ${btoa(`${user}:${password}`)}`, ...headers },
  });
  const text = await response.text();
  if (response.status !== 207) throw new Error(`${response.status} to ${method}`);
  return { text, ms: performance.now() - start };
}

const ETAGS = '<d:propfind xmlns:d="DAV:"><d:prop><d:getetag/></d:prop></d:propfind>';
const propfind = async (who: Credentials | undefined) =>
  (await ask(who, 'PROPFIND', ETAGS, { Depth: '1' })).ms;

/** All parts of a first sync. */
async function firstSync(who: Credentials | undefined, data: string): Promise<number> {
  let [ms, token, isMore, count] = [0, '', true, 0];
  while (isMore) {
    const part = await ask(
      who,
      'REPORT',
      `<d:sync-collection xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:sync-token>${token}</d:sync-token><d:prop><d:getetag/>${data}</d:prop></d:sync-collection>`,
    );
    ms += part.ms;
    token = /<d:sync-token>([^<]*)</.exec(part.text)?.[1] ?? '';
    count += part.text.split('<d:getetag>').length - 1;
    isMore = part.text.includes('507 Insufficient');
  }
  if (count !== CARDS) throw new Error(`${count} cards came`);
  return ms;
}

async function query(name: string): Promise<number> {
  const { ms, text } = await ask(
    reader,
    'REPORT',
    `<c:addressbook-query xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:prop><d:getetag/></d:prop><c:filter><c:prop-filter name="FN"><c:text-match>${name.replace(/[&<]/g, '')}</c:text-match></c:prop-filter></c:filter></c:addressbook-query>`,
    { Depth: '1' },
  );
  if (!text.includes('getetag')) throw new Error(`nobody is called ${name}`);
  return ms;
}

/** How long the hub has answered nobody at most since it was asked last, in milliseconds. */
async function blocked(): Promise<number> {
  const text = await (await fetch(`http://127.0.0.1:${metricsPort}/metrics`)).text();
  return Math.round(Number(/^nodejs_eventloop_lag_max_seconds (\S+)/m.exec(text)?.[1]) * 1000);
}

/** Waits until what devices see has been made ready. @returns how long it took, in milliseconds */
async function untilReady(): Promise<number> {
  const start = performance.now();
  const db = await openStore(join(folder, 'large'), store);
  for (;;) {
    const { count } = await db
      .selectFrom('shown')
      .select(({ fn }) => fn.countAll<number>().as('count'))
      .where('asked', 'is not', null)
      .executeTakeFirstOrThrow();
    if (Number(count) >= CARDS) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  await db.destroy();
  return performance.now() - start;
}

const middle = (all: readonly number[]) => all.toSorted((a, b) => a - b)[Math.floor(all.length / 2)] ?? 0;
const figures: Record<string, number> = {};
await blocked();
async function figure(name: string, work: () => Promise<number>): Promise<void> {
  figures[`${name}Ms`] = Math.round((await work()) * 10) / 10;
  figures[`${name}BlockedMs`] = await blocked();
  figures[`${name}PeakMb`] = peakOf(pid);
}
await figure('firstPropfindUnprepared', () => propfind(cold));
await figure('preparing', untilReady);
await figure('firstPropfind', () => propfind(warm));
await figure('query', async () => {
  const all: number[] = [];
  for (const name of names) all.push(await query(name));
  return middle(all);
});
await figure('firstSync', () => firstSync(warm, '<c:address-data/>'));
await figure('manyDevices', async () => {
  const start = performance.now();
  await Promise.all(others.map((one) => firstSync(one, '')));
  return performance.now() - start;
});
figures['peakMb'] = peakOf(pid);
await stop(hub);
rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify({ cards: CARDS, devices: DEVICES, ...figures }));
