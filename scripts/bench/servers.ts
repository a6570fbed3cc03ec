// Servers that a bench starts as processes of their own, on a free port of this machine.
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';

import { type HubDb, openStore } from '@/hub/store';
import { addDevice, type Credentials } from '@/hub/sync';

const PROGRAM = process.env['HUB_PROGRAM'] ?? '';
const NOW = '2026-11-26T10:00:00Z';

/** Where the cards of somebody are, on a server that runs. */
export interface Server {
  readonly bases: readonly string[];
  readonly path: string;
  readonly user: string;
  readonly password: string;
  /** Other devices of the same book. */
  readonly others: readonly Credentials[];
  readonly processes: readonly ChildProcess[];
}

export async function freePort(): Promise<number> {
  const one = createServer().listen(0, '127.0.0.1');
  await once(one, 'listening');
  const address = one.address();
  one.close();
  return typeof address === 'object' && address ? address.port : 0;
}

export async function answering(url: string): Promise<void> {
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

/** What a store has when the hubs begin. */
export interface Fill {
  /** Devices beside the first. */
  readonly devices?: number;
  readonly cards?: (db: HubDb) => Promise<void>;
}

/** Hubs on one store. @param store - its address; undefined for the data folder */
export async function startHubs(
  folder: string,
  name: string,
  count: number,
  store?: string,
  fill: Fill = {},
): Promise<Server> {
  const data = join(folder, name);
  const db = await openStore(data, store);
  const { user, password } = await addDevice(db, { name: 'Bench', direction: 'both' }, NOW);
  const others: Credentials[] = [];
  for (let i = 0; i < (fill.devices ?? 0); i += 1)
    others.push(await addDevice(db, { name: `Device ${i}`, direction: 'both' }, NOW));
  await fill.cards?.(db);
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
  return { bases, path: `/dav/books/${user}/cards/`, user, password, others, processes };
}

/** Ends a server with the processes that it has begun, which it may leave behind. */
export async function stop({ processes }: Server): Promise<void> {
  for (const one of processes) {
    const children = childrenOf(one.pid ?? 0);
    one.kill();
    if (one.exitCode === null && one.signalCode === null) await once(one, 'exit');
    for (const child of children) if (existsSync(`/proc/${child}`)) process.kill(child);
  }
}

/** The most memory that a process and its children have had, in MB. */
export function peakOf(pid: number): number {
  const read = (one: number) => {
    const file = `/proc/${one}/status`;
    const text = existsSync(file) ? readFileSync(file, 'utf8') : '';
    return Number(/VmHWM:\s*(\d+)/.exec(text)?.[1] ?? 0) / 1024;
  };
  return Math.round([pid, ...childrenOf(pid)].map(read).reduce((a, b) => a + b, 0));
}

/** The processes that a process has begun. */
function childrenOf(pid: number): number[] {
  return readdirSync('/proc')
    .filter(
      (one) =>
        /^\d+$/.test(one) &&
        existsSync(`/proc/${one}/stat`) &&
        new RegExp(`\\) \\w ${pid} `).test(readFileSync(`/proc/${one}/stat`, 'utf8')),
    )
    .map(Number);
}
