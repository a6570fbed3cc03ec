// The hub beside another CardDAV server in one run: new cards, looks, one change, deletions, peak memory. Prints one JSON value.
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { answering, freePort, peakOf, type Server, startHubs, stop } from './servers';

const CARDS = Number(process.env['CARDS'] ?? 5000);
const CONNECTIONS = 16;
const LOOKS = 3000;
const folder = mkdtempSync(join(tmpdir(), 'cordialis-beside-'));

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
    others: [],
    processes: [server],
  };
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
  const listed = await ask(
    'PROPFIND',
    '',
    '<d:propfind xmlns:d="DAV:"><d:prop><d:getetag/></d:prop></d:propfind>',
    {
      Depth: '1',
      'Content-Type': 'application/xml',
    },
  );
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
figures['hub, SQLite'] = await run(() => startHubs(folder, 'sqlite', 1));
if (postgres !== undefined) {
  figures['hub, PostgreSQL'] = await run(() => startHubs(folder, 'one', 1, `${postgres}?schema=one`));
  figures['two hubs, PostgreSQL'] = await run(() => startHubs(folder, 'two', 2, `${postgres}?schema=two`));
}
rmSync(folder, { recursive: true, force: true });
console.log(JSON.stringify(figures));
