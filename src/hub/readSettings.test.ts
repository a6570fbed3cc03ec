/** @jest-environment node */
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { readSettings } from './readSettings';

const folder = mkdtempSync(join(tmpdir(), 'cordialis-settings-'));
writeFileSync(join(folder, 'index.html'), '');
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const built = { CORDIALIS_WEB: folder };

test('without anything said it is one’s own book, on this machine, in a file', () => {
  expect(readSettings([], built)).toMatchObject({
    ...{ isDemo: false, port: 4870, address: undefined, measuredAt: undefined, names: [] },
    dataRoot: join(process.cwd(), 'data'),
  });
  expect(readSettings(['--demo'], built)).toMatchObject({
    isDemo: true,
    dataRoot: join(process.cwd(), 'data-demo'),
  });
});

test('a name is believed behind a proxy, and not without one', () => {
  const named = { ...built, CORDIALIS_NAME: 'hub.example' };
  expect(readSettings([], named).names).toEqual([]);
  expect(readSettings([], { ...named, CORDIALIS_TRUST_PROXY: '1' }).names).toEqual(['hub.example']);
});

test('an empty address of a store is none', () => {
  expect(readSettings([], { ...built, CORDIALIS_STORE: '' }).address).toBeUndefined();
  expect(readSettings([], { ...built, CORDIALIS_STORE: 'postgres://a@b/c' }).address).toBe(
    'postgres://a@b/c',
  );
});

for (const [what, env, says] of [
  ['a port that is none', { ...built, PORT: 'many' }, 'PORT must be a number'],
  ['another that is none', { ...built, CORDIALIS_METRICS_PORT: '-1' }, 'CORDIALIS_METRICS_PORT must be'],
  ['an application that isn’t built', { CORDIALIS_WEB: join(folder, 'no') }, 'run npm run build'],
] as const)
  test(`${what} is said`, () => expect(() => readSettings([], env)).toThrow(says));
