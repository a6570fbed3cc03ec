// The hub's tool as a person calls it: one JSON value on stdout, one line on stderr for bad input.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { restoreBackup } from '@/hub/store';

const ROOT = join(__dirname, '../..');
const data = mkdtempSync(join(tmpdir(), 'cordialis-hub-'));

function hub(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'scripts/hub.mjs'), ...args, '--data', data],
    { cwd: ROOT, encoding: 'utf8', env: { ...process.env, CORDIALIS_PASSPHRASE: 'harbour lights at nine' } },
  );
  return { status, stderr, value: stdout === '' ? undefined : (JSON.parse(stdout) as unknown) };
}

test('a device is added with a password of its own, listed without it, paused and removed', () => {
  const { value } = hub('device', 'add', 'Ada’s Phone', '--out', '--tag', 'choir');
  expect(value).toEqual({
    url: expect.stringMatching(/^http:\/\/127\.0\.0\.1:\d+\/dav\/$/),
    user: 'ada-s-phone',
    password: expect.stringMatching(/^[a-z2-9]{20}$/),
  });
  hub('device', 'pause', 'Ada’s Phone');
  const listed = hub('device', 'list').value;
  expect(listed).toEqual([
    {
      name: 'Ada’s Phone',
      user: 'ada-s-phone',
      direction: 'out',
      tag: 'choir',
      scope: 'tag',
      lists: [],
      paused: true,
      seen: null,
    },
  ]);
  const twice = hub('device', 'add', 'Ada’s Phone');
  expect([twice.status, twice.stderr.trim()]).toEqual([2, 'there is a device called Ada’s Phone']);
  hub('device', 'remove', 'Ada’s Phone');
  expect(hub('device', 'list').value).toEqual([]);
});

test('the log is told, a backup made, and what can’t be understood refused in one line', () => {
  expect(hub('log').value).toEqual([]);
  const copy = join(data, 'copy.db');
  expect(hub('backup', copy).value).toEqual({ backup: copy });
  expect(existsSync(copy)).toBe(true);
  const again = hub('backup', copy);
  expect([again.status, again.stderr.trim()]).toEqual([2, `there is a file at ${copy} already`]);
  const unknown = hub('device', 'dance', 'Phone');
  expect([unknown.status, unknown.stderr]).toEqual([2, expect.stringMatching(/^usage: hub device add NAME/)]);
});

test('a backup is restored, and what can’t be is refused in one line and changes nothing', () => {
  const copy = join(data, 'whole.db');
  hub('device', 'add', 'Before');
  hub('backup', copy);
  hub('device', 'add', 'After');
  const noBackup = hub('restore', join(ROOT, 'package.json'));
  expect([noBackup.status, noBackup.stderr.trim()]).toEqual([2, 'that is no backup of a hub']);
  expect((hub('device', 'list').value as { name: string }[]).map(({ name }) => name)).toEqual([
    'Before',
    'After',
  ]);
  const { value } = hub('restore', copy);
  expect(value).toEqual({ cards: 0, devicesWait: false, before: expect.stringContaining('before-restore-') });
  expect((hub('device', 'list').value as { name: string }[]).map(({ name }) => name)).toEqual(['Before']);
  expect(existsSync(join((value as { before: string }).before, 'hub.db'))).toBe(true);
});

test('nobody is asked for a passphrase before there is a backup that it could open', async () => {
  const folder = mkdtempSync(join(data, 'asked-'));
  const asked = jest.fn(() => Promise.resolve('harbour lights at nine'));
  for (const path of [join(folder, 'none.db'), folder, join(ROOT, 'package.json')])
    await expect(
      restoreBackup({ path, folder, utcNow: '2026-11-26T10:00:00Z', passphrase: asked }),
    ).rejects.toThrow(/^(there is no file at|that is no backup)/);
  expect(asked).not.toHaveBeenCalled();
});

test('the doctor says how the hub is, and ends with 1 where something is wrong', () => {
  const { status, value } = hub('doctor');
  expect([status, value]).toMatchObject([
    0,
    { problems: [], certificate: null, sizes: { cards: 0, devices: 1 } },
  ]);
  const store = join(data, 'hub.db');
  writeFileSync(store, 'no store at all, but long enough to be looked at'.repeat(500));
  for (const beside of ['-wal', '-shm']) rmSync(`${store}${beside}`, { force: true });
  const broken = hub('doctor');
  expect([broken.status, broken.value]).toEqual([
    1,
    { problems: [expect.stringMatching(/store can’t be opened/)] },
  ]);
});
