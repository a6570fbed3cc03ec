/** @jest-environment node */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';
import { findCard, hrefFor, type HubDb, inTransaction, putCard } from '@/hub/store';
import { openTestStore, TEST_NOW } from '@/hub/testing';

import { setMembers } from '../browsers/setMembers';
import { makeShown } from '../engine/queries';
import { allHeads, cardAt, cardOf, type DeviceView } from './deviceView';
import { etagOf, isLetThrough, servedCard } from './letThrough';
import { membersOf } from './membersOf';
import { addDevice, type Device, listDevices, type Passport } from './passports';
import { viewOf } from './viewOf';

let [folder, db]: [string, HubDb] = ['', undefined as never];
beforeEach(async () => {
  folder = mkdtempSync(join(tmpdir(), 'cordialis-views-'));
  db = await openTestStore(folder);
});
afterEach(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const SOURCE = { at: TEST_NOW, device: null, says: 'put' };
const put = (card: Card) => inTransaction(db, (store) => putCard(store, card.uid, card, SOURCE));
const remove = (uid: string) => inTransaction(db, (store) => putCard(store, uid, undefined, SOURCE));
const person = (uid: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, TEST_NOW),
  name: { full: uid },
  ...more,
});

async function device(passport: Partial<Passport> = {}): Promise<Device> {
  await addDevice(db, { name: 'Phone', direction: 'both', ...passport }, TEST_NOW);
  const [one] = await listDevices(db);
  if (!one) throw new Error('it was added');
  return one;
}

const uidsIn = async (view: DeviceView) => (await allHeads(view)).map(({ uid }) => uid).sort();

test('what has been made of a card is not taken for a later version of it', async () => {
  const phone = await device();
  await put(person('ada'));
  await makeShown(db, phone, () => false);
  const before = await cardOf(await viewOf(db, phone), 'ada');
  expect(before?.text).toContain('FN:ada');
  await put(person('ada', { name: { full: 'Ada Lowther' } }));
  const view = await viewOf(db, phone);
  const [head] = await allHeads(view);
  const after = await cardOf(view, 'ada');
  expect([after?.card.name?.full, after?.text]).toEqual(['Ada Lowther', undefined]);
  expect([head?.etag === before?.etag, head?.etag]).toEqual([false, after?.etag]);
});

test('a card that is archived or made private after it was made ready is seen no longer', async () => {
  const phone = await device();
  for (const uid of ['ada', 'bo', 'cy']) await put(person(uid));
  await makeShown(db, phone, () => false);
  await put(person('ada', { 'cordialis.example:archived': true }));
  await put(person('bo', { 'cordialis.example:private': true }));
  const view = await viewOf(db, phone);
  expect(await uidsIn(view)).toEqual(['cy']);
  expect(await cardAt(view, hrefFor('ada'))).toBeUndefined();
});

test('what was made of a card goes with it', async () => {
  const phone = await device();
  await put(person('ada'));
  await makeShown(db, phone, () => false);
  await remove('ada');
  expect(await db.selectFrom('shown').select('uid').execute()).toEqual([]);
});

test('a card at whose address the device has put another one is seen at a second one', async () => {
  const phone = await device();
  await put(person('ada'));
  await put(person('bo'));
  const href = hrefFor('ada');
  await db
    .insertInto('memory')
    .values({
      device: phone.id,
      uid: 'bo',
      href,
      card: JSON.stringify(person('bo')),
      seq: null,
      deviceUid: null,
    })
    .execute();
  const view = await viewOf(db, phone);
  const byUid = new Map((await allHeads(view)).map((one) => [one.uid, one.href]));
  expect(byUid).toEqual(
    new Map([
      ['ada', `2-${href}`],
      ['bo', href],
    ]),
  );
  expect([(await cardAt(view, href))?.uid, (await cardAt(view, `2-${href}`))?.uid]).toEqual(['bo', 'ada']);
  expect(await cardAt(view, `2-2-${href}`)).toBeUndefined();
  // Where the other one is no longer seen, the address is its own.
  await put(person('bo', { 'cordialis.example:archived': true }));
  expect((await cardAt(await viewOf(db, phone), href))?.uid).toBe('ada');
});

test('a list names those that are seen, lists on it too, wherever they come', async () => {
  const phone = await device({ groups: true });
  for (const uid of ['ada', 'bo']) await put(person(uid));
  await put(person('hidden', { 'cordialis.example:archived': true }));
  const members = { ada: true, hidden: true, inner: true, outer: true } as const;
  await put(person('inner', { kind: 'group', members: { bo: true } }));
  await put(person('outer', { kind: 'group', members }));
  const view = await viewOf(db, phone);
  expect((await cardOf(view, 'outer'))?.card.members).toEqual({ ada: true, inner: true, outer: true });
  const heads = new Map((await allHeads(view)).map((one) => [one.uid, one.etag]));
  for (const uid of ['inner', 'outer']) expect(heads.get(uid)).toBe((await cardOf(view, uid))?.etag);
});

test('listings that are read for one device are no other’s addresses', async () => {
  const phone = await device();
  await put(person('ada'));
  await makeShown(db, phone, () => false);
  expect((await allHeads(await viewOf(db, phone))).map(({ href }) => href)).toEqual([hrefFor('ada')]);
  await addDevice(db, { name: 'Tablet', direction: 'both' }, TEST_NOW);
  const tablet = (await listDevices(db))[1] as Device;
  const row = { uid: 'ada', href: 'mine.vcf', card: '{}', seq: null, deviceUid: null };
  await db
    .insertInto('memory')
    .values({ device: tablet.id, ...row })
    .execute();
  expect((await allHeads(await viewOf(db, tablet))).map(({ href }) => href)).toEqual(['mine.vcf']);
  expect((await allHeads(await viewOf(db, phone))).map(({ href }) => href)).toEqual([hrefFor('ada')]);
});

/** What happens to one of a few cards. */
const step = fc.record({
  uid: fc.constantFrom('a', 'b', 'c', 'd'),
  what: fc.constantFrom('plain', 'tagged', 'private', 'archived', 'kept', 'member', 'gone', 'ready', 'list'),
});
const passport = fc.record({
  scope: fc.constantFrom(
    'all' as const,
    'lists' as const,
    'tag' as const,
    'kept' as const,
    'nothing' as const,
  ),
  groups: fc.boolean(),
  notes: fc.boolean(),
});

test('after any history a view is what the passport says of each card by itself (law)', async () => {
  await fc.assert(
    fc.asyncProperty(passport, fc.array(step, { maxLength: 25 }), async (wish, steps) => {
      // Cards go as they do for users, by a change: pages that were read a moment ago are told apart by it.
      for (const { uid } of await db.selectFrom('cards').select('uid').execute()) await remove(uid);
      for (const table of ['devices', 'members'] as const) await db.deleteFrom(table).execute();
      await db.insertInto('members').values({ list: 'choir', uids: '["a","b"]' }).execute();
      const some = wish.scope === 'lists' ? { lists: ['choir'] } : wish.scope === 'tag' ? { tag: 'vip' } : {};
      const phone = await device({ ...wish, ...some });
      for (const { uid, what } of steps) {
        if (what === 'gone') await remove(uid);
        else if (what === 'ready') await makeShown(db, phone, () => false);
        else if (what === 'member')
          await setMembers(db, { list: 'choir', uids: [uid] }, { at: TEST_NOW, device: null });
        else
          await put(
            person(uid, {
              notes: { n1: { note: 'private talk' } },
              ...(what === 'tagged' ? { keywords: { vip: true } } : {}),
              ...(what === 'private' ? { 'cordialis.example:private': true } : {}),
              ...(what === 'archived' ? { 'cordialis.example:archived': true } : {}),
              ...(what === 'kept' ? { 'cordialis.example:sources': { Phone: true } } : {}),
              ...(what === 'list' ? { kind: 'group', members: { a: true, b: true, d: true } } : {}),
            }),
          );
        const view = await viewOf(db, phone);
        const members = await membersOf(db, wish.scope === 'lists' ? ['choir'] : []);
        const heads = new Map((await allHeads(view)).map((one) => [one.uid, one]));
        for (const one of ['a', 'b', 'c', 'd']) {
          const card = await findCard(db, one);
          const isSeen = card !== undefined && isLetThrough(phone, card, members);
          const seen = await cardOf(view, one);
          expect([one, heads.has(one), seen !== undefined]).toEqual([one, isSeen, isSeen]);
          if (!card || !seen) continue;
          expect([seen.etag, seen.href]).toEqual([heads.get(one)?.etag, heads.get(one)?.href]);
          expect((await cardAt(view, seen.href))?.uid).toBe(one);
          if (card.kind === 'group') {
            const named = Object.keys(seen.card.members ?? {});
            expect(named).toEqual(['a', 'b', 'd'].filter((uid) => heads.has(uid)));
          } else expect(seen.etag).toBe(etagOf(servedCard(card, phone), phone));
        }
      }
    }),
    { numRuns: 20 },
  );
});
