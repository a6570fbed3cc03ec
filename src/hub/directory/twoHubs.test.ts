/** @jest-environment node */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { shownAs } from '@/core/card';
import type { HubDb } from '@/hub/store';
import { openTestStore, TEST_NOW, testPerson } from '@/hub/testing';

import { entriesFor, putEntries, removeEntry } from '.';

let folder = '';
let hubs: HubDb[] = [];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-directory-'));
  hubs = [await openTestStore(folder), await openTestStore(folder)];
});
afterEach(async () => {
  for (const db of hubs) await db.destroy();
  rmSync(folder, { recursive: true, force: true });
});

test('what one hub changes in the directory the other reads, however often it has read it', async () => {
  const [one, other] = hubs as [HubDb, HubDb];
  const by = { name: 'Ada', now: TEST_NOW };
  const names = async () =>
    (await entriesFor(other, 'administrator', '2026-11-26')).map(({ card }) => shownAs(card));
  const entry = (full: string) => ({ card: testPerson('bo', full), isInside: true, isHidden: false });
  expect(await names()).toEqual([]);
  await putEntries(one, [entry('Bo Lind')], by);
  expect(await names()).toEqual(['Bo Lind']);
  await putEntries(one, [entry('Bo Lindqvist')], by);
  expect(await names()).toEqual(['Bo Lindqvist']);
  await removeEntry(one, 'bo', by);
  expect(await names()).toEqual([]);
});
