// The hub's tool as a person calls it: one JSON value on stdout, one line on stderr for bad input.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const ROOT = join(__dirname, '../..');
const data = mkdtempSync(join(tmpdir(), 'cordialis-hub-'));

function hub(...args: string[]) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(ROOT, 'scripts/hub.mjs'), ...args, '--data', data],
    { cwd: ROOT, encoding: 'utf8' },
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
  const unknown = hub('device', 'dance', 'Phone');
  expect([unknown.status, unknown.stderr]).toEqual([2, expect.stringMatching(/^usage: hub device add NAME/)]);
});
