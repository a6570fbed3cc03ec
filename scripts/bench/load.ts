// How many devices one machine carries: books of 2,000 cards, devices that look every quarter of an hour, and ten times as many in the
// morning. Requests come when they come (a Poisson process), whether the ones before are answered or not; how long one takes is
// counted from when it was due. The load is raised until the 95th percentile of looks or changes is over its limit. One JSON value.
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { generateLargeBook } from '@/demo';
import { type HubDb, inTransaction, putCard } from '@/hub/store';

import { type Server, startHubs, stop } from './servers';

const CARDS = 2000;
/** How often a device looks, in seconds, and how much more often in the morning. */
const [EVERY_S, PEAK] = [900, 10];
/** Of so many requests one is a change. */
const CHANGES = 20;
/** Limits of the 95th percentile, in milliseconds. */
const [LOOK_MS, CHANGE_MS] = [100, 300];
/** How long each load lasts, in seconds, and by how much it grows. */
const [LASTS_S, GROWS] = [Number(process.env['LASTS'] ?? 8), 1.3];
/** Devices that a hub knows: however many look, each is one of these. */
const DEVICES = 30;
const NOW = '2026-11-26T10:00:00Z';
const folder = mkdtempSync(join(tmpdir(), 'cordialis-load-'));

async function fill(db: HubDb): Promise<void> {
  await inTransaction(db, async (store) => {
    for (const card of generateLargeBook(CARDS, 1))
      await putCard(store, card.uid, card, { at: NOW, device: null, says: 'bench' });
  });
}

/** Devices at a hub. */
class Devices {
  private readonly tokens = new Map<string, string>();
  private turn = 0;
  private count = 0;

  constructor(private readonly server: Server) {}

  /** Each has all cards. */
  async begin(): Promise<void> {
    for (const device of this.server.others)
      for (let isMore = true; isMore;) isMore = await this.look(device);
  }

  /** One looks, and fetches what is new. @returns whether there is more */
  async look(device = this.next()): Promise<boolean> {
    const token = this.tokens.get(device.user) ?? '';
    const body = `<d:sync-collection xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:sync-token>${token}</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/><c:address-data/></d:prop></d:sync-collection>`;
    const text = await this.ask(device, 'REPORT', '', body);
    this.tokens.set(device.user, /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '');
    return text.includes('507 Insufficient');
  }

  /** One adds a card. */
  async change(): Promise<void> {
    const i = (this.count += 1);
    const device = this.next();
    const uid = `${device.user}-${i}`;
    await this.ask(
      device,
      'PUT',
      `${uid}.vcf`,
      `BEGIN:VCARD\r\nVERSION:3.0\r\nUID:${uid}\r\nFN:Qwz${i} Vbn${i * 7}\r\nN:Vbn${i * 7};Qwz${i};;;\r\nEND:VCARD\r\n`,
    );
  }

  private next(): Server['others'][number] {
    const { others } = this.server;
    const device = others[(this.turn += 1) % others.length];
    if (!device) throw new Error('there is no device');
    return device;
  }

  private async ask(
    { user, password }: Server['others'][number],
    method: string,
    href: string,
    body: string,
  ): Promise<string> {
    const { bases } = this.server;
    const response = await fetch(`${bases[this.turn % bases.length] ?? ''}/dav/books/${user}/cards/${href}`, {
      ...{ method, body },
      headers: {
        Authorization: `Basic ${btoa(`${user}:${password}`)}`,
        'Content-Type': method === 'PUT' ? 'text/vcard' : 'application/xml',
      },
    });
    const text = await response.text();
    if (response.status >= 400) throw new Error(`${method} was answered ${response.status}`);
    return text;
  }
}

interface Load {
  readonly rate: number;
  readonly looksMs: number;
  readonly changesMs: number;
}

/** Requests for some seconds, so many in each. */
async function load(all: readonly Devices[], rate: number): Promise<Load> {
  const [looks, changes]: [number[], number[]] = [[], []];
  const asked: Promise<void>[] = [];
  const began = performance.now();
  let due = began;
  for (let i = 0; due < began + LASTS_S * 1000; i += 1) {
    due += (-Math.log(1 - Math.random()) / rate) * 1000;
    const waitMs = due - performance.now();
    if (waitMs > 1) await new Promise((resolve) => setTimeout(resolve, waitMs));
    const devices = all[i % all.length];
    const isChange = i % CHANGES === 0;
    const since = due;
    const one = isChange ? devices?.change() : devices?.look();
    asked.push(
      Promise.resolve(one).then(() => void (isChange ? changes : looks).push(performance.now() - since)),
    );
  }
  await Promise.all(asked);
  return { rate: Math.round(rate), looksMs: percentile(looks), changesMs: percentile(changes) };
}

function percentile(times: number[]): number {
  return Math.round(times.sort((a, b) => a - b)[Math.floor(times.length * 0.95)] ?? 0);
}

/** The largest load that keeps the limits, and how many devices that is in the morning. */
async function carries(servers: readonly Server[]): Promise<object> {
  const all = servers.map((server) => new Devices(server));
  for (const devices of all) await devices.begin();
  await load(all, 20);
  let best: Load | undefined;
  for (let rate = 60; ; rate *= GROWS) {
    const now = await load(all, rate);
    if (now.looksMs > LOOK_MS || now.changesMs > CHANGE_MS) break;
    best = now;
  }
  const residentMb = servers.flatMap(({ processes }) => processes.map(({ pid }) => residentOf(pid ?? 0)));
  return { ...best, devices: Math.floor(((best?.rate ?? 0) * EVERY_S) / PEAK), residentMb };
}

/** How much memory a process has now, in MB. */
function residentOf(pid: number): number {
  const text = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Math.round(Number(/VmRSS:\s*(\d+)/.exec(text)?.[1] ?? 0) / 1024);
}

async function run(start: () => Promise<Server[]>): Promise<object> {
  const servers = await start();
  try {
    return await carries(servers);
  } finally {
    for (const server of servers) await stop(server);
  }
}

const filled = { devices: DEVICES, cards: fill };
const postgres = process.env['BENCH_POSTGRES'];
const figures: Record<string, object> = {};
figures['one book, SQLite'] = await run(async () => [
  await startHubs(folder, 'sqlite', 1, undefined, filled),
]);
figures['eight books, each with a hub, SQLite'] = await run(() =>
  Promise.all(Array.from({ length: 8 }, (_, i) => startHubs(folder, `book${i}`, 1, undefined, filled))),
);
if (postgres !== undefined) {
  figures['one book, PostgreSQL'] = await run(async () => [
    await startHubs(folder, 'one', 1, `${postgres}?schema=one`, filled),
  ]);
  figures['one book, PostgreSQL, two hubs'] = await run(async () => [
    await startHubs(folder, 'two', 2, `${postgres}?schema=two`, filled),
  ]);
}
rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify(figures));
