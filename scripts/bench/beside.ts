// The hub beside another CardDAV server in one run: new cards, looks, one change, deletions, peak memory. Prints one JSON value.
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openStore } from '@/hub/store';
import { addDevice } from '@/hub/sync';

const CARDS = Number(process.env['CARDS'] ?? 5000);
const CONNECTIONS = 16;
const LOOKS = 3000;
const PROGRAM = process.env['HUB_PROGRAM'] ?? '';
const NOW = '2026-11-26T10:00:00Z';
const folder = mkdtempSync(join(tmpdir(), 'cordialis-beside-'));

/** Where the cards of somebody are, on a server that runs. */
interface Server {
  readonly bases: readonly string[];
  readonly path: string;
  readonly user: string;
  readonly password: string;
  readonly processes: readonly ChildProcess[];
}

async function freePort(): Promise<number> {
  const one = createServer().listen(0, '127.0.0.1');
  await once(one, 'listening');
  const address = one.address();
  one.close();
  return typeof address === 'object' && address ? address.port : 0;
}

async function answering(url: string): Promise<void> {
  for (let tries = 0; tries < 400; tries += 1) {
    const status = await fetch(url).then(
      (response) => response.status,
      () => 0,
    );
    if (status !== 0 && status !== 503) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
  throw new Error(`${url} doesn't answer`);
}

/** Hubs on one store. @param store - its address; undefined for the data folder */
async function startHubs(name: string, count: number, store?: string): Promise<Server> {
  const data = join(folder, name);
  const db = await openStore(data, store);
  const { user, password } = await addDevice(db, { name: 'Bench', direction: 'both' }, NOW);
  await db.destroy();
  const web = join(folder, 'web');
  mkdirSync(web, { recursive: true });
  writeFileSync(join(web, 'index.html'), '<html><head></head></html>');
  const ports = await Promise.all(Array.from({ length: count }, freePort));
  const processes = ports.map((port) =>
    spawn(process.execPath, ['--max-semi-space-size=2', PROGRAM], {
      stdio: 'ignore',
      env: {
        ...process.env,
        ...{ PORT: String(port), CORDIALIS_WEB: web, CORDIALIS_DATA: data },
        ...{ MALLOC_MMAP_THRESHOLD_: '131072', MALLOC_ARENA_MAX: '2' },
        ...(store === undefined ? {} : { CORDIALIS_STORE: store }),
      },
    }),
  );
  const bases = ports.map((port) => `http://127.0.0.1:${port}`);
  for (const base of bases) await answering(`${base}/api/health`);
  return { bases, path: `/dav/books/${user}/cards/`, user, password, processes };
}

async function startOther(): Promise<Server> {
  const port = await freePort();
  const server = spawn(
    'php',
    ['-S', `127.0.0.1:${port}`, join(process.cwd(), 'scripts/bench/beside/server.php')],
    {
      stdio: 'ignore',
      env: { ...process.env, BOOK: join(folder, 'other.db'), PHP_CLI_SERVER_WORKERS: '4' },
    },
  );
  const base = `http://127.0.0.1:${port}`;
  await answering(`${base}/`);
  return {
    bases: [base],
    path: '/addressbooks/admin/cards/',
    user: 'admin',
    password: 'admin',
    processes: [server],
  };
}

async function stop({ processes }: Server): Promise<void> {
  for (const one of processes) {
    one.kill();
    if (one.exitCode === null && one.signalCode === null) await once(one, 'exit');
  }
}

const vcard = (i: number, more = '') =>
  `BEGIN:VCARD\r\nVERSION:3.0\r\nUID:u${i}\r\nFN:Qwz${i} Vbn${i * 7}\r\nN:Vbn${i * 7};Qwz${i};;;\r\nTEL:+4420${70_000_000 + i}\r\n${more}END:VCARD\r\n`;

async function measure(server: Server): Promise<Record<string, number>> {
  const { bases, path, user, password } = server;
  const headers = { Authorization: `Basic ${btoa(`${user}:${password}`)}` };
  let turn = 0;
  const ask = async (method: string, href: string, body?: string, more: object = {}) => {
    const base = bases[(turn += 1) % bases.length] ?? '';
    const response = await fetch(base + path + href, {
      ...{ method, headers: { ...headers, 'Content-Type': 'text/vcard', ...more } },
      ...(body === undefined ? {} : { body }),
    });
    const text = await response.text();
    if (response.status >= 400)
      throw new Error(`${method} ${href}: ${response.status} ${text.slice(0, 300)}`);
    return text;
  };
  const each = async (count: number, work: (i: number) => Promise<unknown>) => {
    let next = 0;
    const began = performance.now();
    const lane = async () => {
      while (next < count) {
        const i = next;
        next += 1;
        await work(i);
      }
    };
    await Promise.all(Array.from({ length: CONNECTIONS }, lane));
    return Math.round(count / ((performance.now() - began) / 1000));
  };
  const look = () =>
    ask(
      'PROPFIND',
      '',
      '<d:propfind xmlns:d="DAV:" xmlns:s="http://calendarserver.org/ns/"><d:prop><s:getctag/></d:prop></d:propfind>',
      { Depth: '0', 'Content-Type': 'application/xml' },
    );
  const newCards = await each(CARDS, (i) => ask('PUT', `c${i}.vcf`, vcard(i)));
  const looks = await each(LOOKS, look);
  // A listing of all, and then by what the server offers what has changed.
  const began = performance.now();
  const listed = await ask('PROPFIND', '', '<d:propfind xmlns:d="DAV:"><d:prop><d:getetag/></d:prop></d:propfind>', {
    Depth: '1',
    'Content-Type': 'application/xml',
  });
  const listingMs = performance.now() - began;
  const members = listed.match(/<\/d:response>/gi)?.length ?? 0;
  if (members < CARDS) throw new Error(`${members} of ${CARDS} were listed`);
  const changes: number[] = [];
  let token = await syncTokenOf(ask);
  for (let i = 0; i < 20; i += 1) {
    await ask('PUT', `c${i}.vcf`, vcard(i, 'NOTE:changed\r\n'));
    const since = performance.now();
    if (token === undefined) {
      await ask('PROPFIND', '', '<d:propfind xmlns:d="DAV:"><d:prop><d:getetag/></d:prop></d:propfind>', {
        Depth: '1',
        'Content-Type': 'application/xml',
      });
      await ask('GET', `c${i}.vcf`);
    } else token = await syncTokenOf(ask, token);
    changes.push(performance.now() - since);
  }
  const deletions = await each(CARDS, (i) => ask('DELETE', `c${i}.vcf`));
  const peakMb = server.processes.map(({ pid }) => peakOf(pid ?? 0)).reduce((a, b) => a + b, 0);
  const oneChangeMs = changes.sort((a, b) => a - b)[10] ?? 0;
  return {
    newCards,
    looks,
    listingMs: Math.round(listingMs),
    oneChangeMs: Math.round(oneChangeMs * 10) / 10,
    deletions,
    peakMb,
  };
}

type Ask = (method: string, href: string, body?: string, more?: object) => Promise<string>;

/** The token after a sync with the cards; undefined where the server knows no such report (RFC 6578). */
async function syncTokenOf(ask: Ask, token = ''): Promise<string | undefined> {
  const asked = (from: string) =>
    ask(
      'REPORT',
      '',
      `<d:sync-collection xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:sync-token>${from}</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/><c:address-data/></d:prop></d:sync-collection>`,
      { 'Content-Type': 'application/xml', Depth: '0' },
    );
  let last: string | undefined = token;
  for (;;) {
    const text: string = await asked(last ?? '').catch(() => '');
    last = /<d:sync-token>([^<]*)</.exec(text)?.[1];
    if (!text.includes('507 Insufficient')) return last;
  }
}

/** The most memory that a process and its children have had, in MB. */
function peakOf(pid: number): number {
  const read = (one: number) => {
    const file = `/proc/${one}/status`;
    const text = existsSync(file) ? readFileSync(file, 'utf8') : '';
    return Number(/VmHWM:\s*(\d+)/.exec(text)?.[1] ?? 0) / 1024;
  };
  const children = readdirSync('/proc').filter(
    (one) =>
      /^\d+$/.test(one) &&
      existsSync(`/proc/${one}/stat`) &&
      readFileSync(`/proc/${one}/stat`, 'utf8').includes(`) S ${pid} `),
  );
  return Math.round([pid, ...children.map(Number)].map(read).reduce((a, b) => a + b, 0));
}

async function run(start: () => Promise<Server>): Promise<Record<string, number>> {
  const server = await start();
  try {
    return await measure(server);
  } finally {
    await stop(server);
  }
}

const postgres = process.env['BENCH_POSTGRES'];
const figures: Record<string, unknown> = { cards: CARDS, connections: CONNECTIONS };
if (existsSync('/usr/share/php/Sabre/DAV')) figures['php-sabre-dav'] = await run(startOther);
figures['hub, SQLite'] = await run(() => startHubs('sqlite', 1));
if (postgres !== undefined) {
  figures['hub, PostgreSQL'] = await run(() => startHubs('one', 1, `${postgres}?schema=one`));
  figures['two hubs, PostgreSQL'] = await run(() => startHubs('two', 2, `${postgres}?schema=two`));
}
rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify(figures));
