/** @jest-environment node */
import { existsSync, mkdtempSync, readFileSync, rmSync, truncateSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { faultOf, openLog } from './log';

const folder = mkdtempSync(join(tmpdir(), 'cordialis-log-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

// A device that is always full.
(existsSync('/dev/full') ? test : test.skip)('a log that can’t be written ends nothing', async () => {
  const log = openLog({ CORDIALIS_LOG: '/dev/full' }, folder);
  for (let i = 0; i < 100; i += 1) log.error({ text: 'x'.repeat(50_000) }, 'fault');
  // Faults of a stream come later.
  await new Promise((resolve) => setTimeout(resolve, 20));
});

test('a log that has grown large is put aside at the next start', () => {
  const file = join(folder, 'hub.log');
  openLog({}, folder).info('old');
  truncateSync(file, 11_000_000);
  openLog({}, folder).info('new');
  expect(readFileSync(file, 'utf8')).toMatch(/^\{"level":30,"time":"[^"]+","msg":"new"\}\n$/);
  expect(existsSync(`${file}.1`)).toBe(true);
});

test('a fault is told by its kind, its code and where it was, and never by its words', () => {
  const error = Object.assign(new RangeError('Anna Lindqvist'), { code: 'SQLITE_FULL' });
  const fault = faultOf(error);
  expect(fault).toMatchObject({ name: 'RangeError', code: 'SQLITE_FULL' });
  expect(fault.at[0]).toMatch(/log\.test\.ts/);
  expect(JSON.stringify(fault)).not.toMatch(/Anna/);
  expect(faultOf(Object.assign(new Error('x'), { code: 'Anna Lindqvist' }))).not.toHaveProperty('code');
  expect([faultOf('Anna'), faultOf(undefined)]).toEqual([
    { name: 'string', at: [] },
    { name: 'undefined', at: [] },
  ]);
});
