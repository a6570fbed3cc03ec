// Commands that start at the same time: what only one may do is done by one after the other.
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';

const ROOT = join(__dirname, '../..');
const MODULE = pathToFileURL(join(ROOT, 'scripts/withLock.mjs')).href;
const folder = mkdtempSync(join(tmpdir(), 'cordialis-lock-'));

/** A name that no command uses, so that the tests wait for nobody and nobody for them. */
const name = `test-${process.pid}`;
const lock = join(ROOT, `.lock-${name}`);
afterEach(() => rmSync(lock, { recursive: true, force: true }));

/** A process that holds the lock for a moment and writes down when it began and when it ended. */
function work(log: string, more = ''): Promise<number | null> {
  const script = `
    import { appendFileSync } from 'node:fs';
    import { withLock } from ${JSON.stringify(MODULE)};
    await withLock(${JSON.stringify(name)}, async () => {
      appendFileSync(${JSON.stringify(log)}, 'begin ');
      ${more}
      await new Promise((resolve) => setTimeout(resolve, 150));
      appendFileSync(${JSON.stringify(log)}, 'end ');
    });`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', script], { stdio: 'ignore' });
  return new Promise((resolve) => child.on('exit', resolve));
}

test('three at once work one after the other', async () => {
  const log = join(folder, 'three');
  await Promise.all([work(log), work(log), work(log)]);
  expect(readFileSync(log, 'utf8')).toBe('begin end begin end begin end ');
});

test('the lock of a process that was killed is taken over, by one of those that wait', async () => {
  const log = join(folder, 'killed');
  await work(log, "process.kill(process.pid, 'SIGKILL');");
  await Promise.all([work(log), work(log)]);
  expect(readFileSync(log, 'utf8')).toBe('begin begin end begin end ');
});

test('a lock of work that failed is given back', async () => {
  const log = join(folder, 'failed');
  expect(await work(log, "throw new Error('no room');")).toBe(1);
  expect(await work(log)).toBe(0);
});

test('a process that lives keeps its lock', async () => {
  mkdirSync(lock);
  writeFileSync(join(lock, 'pid'), String(process.pid));
  const log = join(folder, 'kept');
  const waiting = work(log);
  await new Promise((resolve) => setTimeout(resolve, 600));
  expect(() => readFileSync(log)).toThrow('ENOENT');
  rmSync(lock, { recursive: true });
  expect(await waiting).toBe(0);
});
