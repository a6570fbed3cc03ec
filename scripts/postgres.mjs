// A PostgreSQL server of the tests' own, on a free port and in a folder of its own: installed where it is missing and may be.
// node scripts/postgres.mjs COMMAND …: runs a command with the server's address in TEST_POSTGRES, and ends it then.
// node scripts/postgres.mjs --served: says its address, and restarts it with each line on standard input.
import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createInterface } from 'node:readline';
import { pathToFileURL } from 'node:url';

import { canInstall, installPackages } from './debian.mjs';

/** Where files take no time to write. */
const IN_MEMORY = '/dev/shm';
/** Where Debian puts the versions. */
const DEBIAN = '/usr/lib/postgresql';

/** The folder of the server's programs; undefined where there are none. */
function programs() {
  const versions = existsSync(DEBIAN) ? readdirSync(DEBIAN).sort((a, b) => Number(b) - Number(a)) : [];
  return versions
    .map((version) => join(DEBIAN, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')));
}

/** The user as which it runs, as it refuses to be root; undefined for whoever runs this. */
function nobody() {
  if (process.getuid?.() !== 0) return undefined;
  const [, , uid, gid] = spawnSync('getent', ['passwd', 'postgres'], { encoding: 'utf8' })
    .stdout.trim()
    .split(':');
  return uid && gid ? { uid: Number(uid), gid: Number(gid) } : undefined;
}

/**
 * Starts one.
 *
 * @param isDurable - whether it is to lie on the disk, and not in memory: tests only end its processes
 * @returns its address, and what ends and restarts it; undefined where it can't be had
 */
export async function startPostgres({ isDurable = false } = {}) {
  if (!programs() && canInstall()) {
    console.log('Installing postgresql …');
    installPackages(['postgresql']);
  }
  const bin = programs();
  const who = nobody();
  if (!bin || (process.getuid?.() === 0 && !who)) return undefined;
  const folder = mkdtempSync(
    join(!isDurable && existsSync(IN_MEMORY) ? IN_MEMORY : tmpdir(), 'cordialis-postgres-'),
  );
  if (who) chownSync(folder, who.uid, who.gid);
  const data = join(folder, 'data');
  const made = spawnSync(
    join(bin, 'initdb'),
    ['-D', data, '-A', 'trust', '-U', 'cordialis', '-E', 'UTF8', '--locale', 'C.UTF-8', '--no-sync'],
    { ...who, cwd: folder, stdio: ['ignore', 'ignore', 'inherit'] },
  );
  if (made.status !== 0) return undefined;
  const port = await freePort();
  const settings = {
    listen_addresses: '127.0.0.1',
    port,
    unix_socket_directories: folder,
    max_connections: 300,
  };
  const args = Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`]);
  let server;
  const begin = async () => {
    server = spawn(join(bin, 'postgres'), ['-D', data, ...args], { ...who, cwd: folder, stdio: 'ignore' });
    await answers(bin, port);
  };
  const end = (signal) =>
    new Promise((resolve) => {
      if (server.exitCode !== null || server.signalCode !== null) return resolve();
      server.on('exit', resolve);
      server.kill(signal);
    });
  await begin();
  return {
    address: `postgres://cordialis@127.0.0.1:${port}/postgres`,
    pid: () => server.pid,
    /** Ends it at once, as if its machine had failed, and starts it again. */
    restart: async () => {
      // Not SIGKILL, after which its other processes would have to be looked for.
      await end('SIGQUIT');
      await begin();
    },
    end: async () => {
      await end('SIGINT');
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

async function answers(bin, port) {
  for (let tries = 0; tries < 300; tries += 1) {
    const asked = spawnSync(join(bin, 'pg_isready'), ['-h', '127.0.0.1', '-p', String(port)], {
      stdio: 'ignore',
    });
    if (asked.status === 0) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error('PostgreSQL doesn’t answer');
}

function freePort() {
  return new Promise((resolve, reject) => {
    const one = createServer().on('error', reject);
    one.listen(0, '127.0.0.1', () => {
      const { port } = one.address();
      one.close(() => resolve(port));
    });
  });
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? '').href) {
  const [command, ...args] = process.argv.slice(2);
  const server = command ? await startPostgres() : undefined;
  if (!server) {
    console.error(
      command ? 'PostgreSQL can’t be had here' : 'usage: node scripts/postgres.mjs COMMAND … | --served',
    );
    process.exit(2);
  }
  if (command === '--served') await serve(server);
  else await runWith(server, command, args);
}

/** For another program: says the address, and restarts the server with each line that comes, until no more can. */
async function serve(server) {
  console.log(server.address);
  const lines = createInterface({ input: process.stdin });
  lines.on('line', () => void server.restart().then(() => console.log('restarted')));
  lines.on('close', () => void server.end());
}

async function runWith(server, command, args) {
  const child = spawn(command, args, {
    stdio: 'inherit',
    env: { ...process.env, TEST_POSTGRES: server.address },
  });
  const status = await new Promise((resolve) => child.on('exit', resolve));
  await server.end();
  process.exit(status ?? 1);
}
