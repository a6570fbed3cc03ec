/** @jest-environment node */
import { mkdtempSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { openTestStore } from '@/hub/testing';

import {} from './';
import type { HubDb } from './schema/tables';
import { keepKey, seal, unseal } from './seal';

let folder = '';
let db: HubDb;
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-seal-'));
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

test('what is sealed is read again after a restart, and is never twice the same', async () => {
  const sealed = seal(db, 'pass wörd');
  expect(sealed).not.toContain('pass');
  expect(seal(db, 'pass wörd')).not.toBe(sealed);
  await db.destroy();
  db = await openTestStore(folder);
  expect(unseal(db, sealed)).toBe('pass wörd');
});

test('only its owner reads the key, and another key opens nothing', async () => {
  expect(statSync(join(folder, 'hub.key')).mode & 0o077).toBe(0);
  const sealed = seal(db, 'secret');
  writeFileSync(join(folder, 'hub.key'), Buffer.alloc(32, 7));
  await keepKey(db, folder, false);
  expect(() => unseal(db, sealed)).toThrow('can’t be read with this hub’s key');
});

test('what was kept before anything was sealed is still read', () => {
  expect(unseal(db, 'plain')).toBe('plain');
});
