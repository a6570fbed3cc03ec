/** @jest-environment node */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import { type Card, newCard } from '@/core/card';
import {
  allCards,
  clearPictures,
  findCard,
  type HubDb,
  inTransaction,
  putCard,
  putPicturesAside,
  withPicturesIn,
} from '@/hub/store';
import { openTestStore, TEST_NOW } from '@/hub/testing';

let [folder, db]: [string, HubDb] = ['', undefined as never];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-pictures-'));
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const uriOf = (seed: string) => `data:image/png;base64,${seed.repeat(500)}`;
const withPhoto = (uid: string, uri: string): Card => ({
  ...newCard(uid, TEST_NOW),
  media: {
    m1: { kind: 'photo', uri, label: 'At sea' },
    m2: { kind: 'logo', uri: 'https://example.org/a.png' },
  },
});
const put = (card: Card | undefined, uid = card?.uid ?? '') =>
  inTransaction(db, (store) => putCard(store, uid, card, { at: TEST_NOW, device: null, says: 'put' }));
const ids = async () => (await db.selectFrom('pictures').select('id').execute()).length;
const never = () => false;
const inDays = (days: number) => new Date(Date.now() + days * 86_400_000).toISOString();

test('a picture is kept once for all versions and cards that have it, and comes back as it was', async () => {
  const card = withPhoto('ada', uriOf('abcd'));
  await put(card);
  await put({ ...card, name: { full: 'Ada' } });
  await put({ ...card, uid: 'twin' });
  expect(await ids()).toBe(1);
  const rows = await db.selectFrom('changes').select(['before', 'after']).execute();
  expect(JSON.stringify(rows)).not.toContain('abcdabcd');
  expect(await allCards(db)).toEqual([
    { ...card, name: { full: 'Ada' } },
    { ...card, uid: 'twin' },
  ]);
  const kept = await findCard(db, 'ada');
  expect(kept && (await putPicturesAside(db, kept))).toEqual(kept);
  expect(JSON.parse(await withPicturesIn(db, JSON.stringify({ of: kept })))).toEqual({
    of: { ...card, name: { full: 'Ada' } },
  });
});

test('a reference to a picture that isn’t here is no fault', async () => {
  const uri = `cordialis-picture:${'0'.repeat(64)}`;
  await put(withPhoto('ada', uri));
  expect((await allCards(db))[0]?.media?.['m1']?.uri).toBe(uri);
});

test('a picture goes a day after nobody has it any more, and not while a version, a device or a choice has', async () => {
  await put(withPhoto('ada', uriOf('abcd')));
  await put(withPhoto('bo', uriOf('efgh')));
  await put(undefined, 'ada');
  expect(await clearPictures(db, inDays(2), never)).toBe(0);
  await db.updateTable('changes').set({ before: '', after: '' }).where('uid', '=', 'ada').execute();
  expect(await clearPictures(db, inDays(0), never)).toBe(0);
  expect([await clearPictures(db, inDays(2), never), await ids()]).toEqual([1, 1]);
  expect((await allCards(db))[0]?.media?.['m1']?.uri).toBe(uriOf('efgh'));
  const text = JSON.stringify(await findCard(db, 'bo'));
  await put(undefined, 'bo');
  await db.updateTable('changes').set({ before: '', after: '' }).execute();
  await db
    .insertInto('memory')
    .values({ device: 1, uid: 'bo', href: 'bo.vcf', card: text, seq: null, deviceUid: null })
    .execute();
  expect(await clearPictures(db, inDays(2), never)).toBe(0);
  await db.deleteFrom('memory').execute();
  expect([await clearPictures(db, inDays(2), never), await ids()]).toEqual([1, 0]);
});
