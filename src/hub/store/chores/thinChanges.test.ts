/** @jest-environment node */
import { type Card, newCard } from '@/core/card';
import {
  findMemory,
  type HubDb,
  inTransaction,
  putCard,
  thinChanges,
  thinnedTo,
  tidyStore,
  toCard,
} from '@/hub/store';
import {
  addDevice,
  allHeads,
  applyPush,
  type Credentials,
  findBrowser,
  listDevices,
  makeCode,
  pairBrowser,
  rememberServed,
  syncNow,
  undoSync,
  viewOf,
} from '@/hub/sync';
import { askAs, startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

let [hub, db, phone]: [TestHub, HubDb, Credentials] = [
  undefined as never,
  undefined as never,
  undefined as never,
];
beforeEach(async () => {
  hub = await startTestHub();
  ({ db } = hub);
  phone = await addDevice(db, { name: 'Phone', direction: 'both' }, TEST_NOW);
});
afterEach(() => hub.stop());

const never = () => false;
const ALL = { years: 0, megabytes: 0 };
const named = (full: string, uid = 'ada'): Card => ({ ...newCard(uid, TEST_NOW), name: { full } });
const put = (card: Card | undefined, at = TEST_NOW, uid = 'ada') =>
  inTransaction(db, (store) => putCard(store, uid, card, { at, device: null, says: 'put' }));
const versions = async () =>
  (await db.selectFrom('changes').select(['before', 'after']).orderBy('seq').execute()).map((row) =>
    [row.before, row.after].map((text) => (text === null || text === '' ? text : toCard(text).name?.full)),
  );

test('old versions go after years, what was done stays; whether there was a card is still known', async () => {
  await put(named('One'), '2023-01-01T00:00:00Z');
  await put(named('Two'), '2023-01-02T00:00:00Z');
  await put(undefined, '2023-01-03T00:00:00Z');
  await put(named('Three'), '2026-01-01T00:00:00Z');
  await put(named('Four'));
  expect(await thinChanges(db, { years: 2, megabytes: 200 }, TEST_NOW, never)).toBe(3);
  expect(await versions()).toEqual([
    [null, ''],
    ['', ''],
    ['', null],
    [null, 'Three'],
    ['Three', 'Four'],
  ]);
  expect(await thinChanges(db, { years: 2, megabytes: 200 }, TEST_NOW, never)).toBe(0);
});

test('where there is no room the oldest go first, but never what a card is or what a device or browser has', async () => {
  for (const name of ['One', 'Two', 'Three', 'Four']) await put(named(name));
  const [device] = await listDevices(db);
  if (!device) throw new Error('it was added');
  const view = await viewOf(db, device);
  await put(named('Five'));
  const [head] = await allHeads(await viewOf(db, device));
  // What was shown before the last change.
  const seen = (await view.ofEach(['ada'])).get('ada');
  if (seen && head)
    await rememberServed({ db, device }, [
      { ...head, seq: head.seq - 1, card: seen.card, shape: seen.shape },
    ]);
  await thinChanges(db, ALL, TEST_NOW, never);
  expect((await versions()).map(([, after]) => after)).toEqual(['', '', '', 'Four', 'Five']);
  const memory = await findMemory(db, device.id, 'ada');
  expect(toCard(memory?.card ?? '{}').name?.full).toBe('Four');
});

test('a device with a token from before is told to begin anew; what a browser sends is merged and loses nothing', async () => {
  await put(named('One'));
  const token = async () => /<d:sync-token>(.*)<\/d:sync-token>/.exec((await sync('')).text)?.[1] ?? '';
  const sync = (from: string) =>
    askAs(hub.base, phone, 'REPORT', '', {
      body: `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${from}</d:sync-token><d:prop><d:getetag/></d:prop></d:sync-collection>`,
    });
  const before = await token();
  await put({ ...named('Two'), emails: { e1: { address: 'ada@example.org' } } });
  await put(named('Cy', 'cy'), TEST_NOW, 'cy');
  expect((await sync(before)).status).toBe(207);
  await thinChanges(db, ALL, TEST_NOW, never);
  expect(await thinnedTo(db)).toBeGreaterThan(0);
  const late = await sync(before);
  expect([late.status, late.text.includes('valid-sync-token')]).toEqual([403, true]);
  expect((await sync(await token())).status).toBe(207);
  const paired = await pairBrowser(db, { code: await makeCode(db, Date.now()), name: 'One' }, Date.now());
  const browser = await findBrowser(db, paired?.token ?? '', Date.now());
  if (!browser) throw new Error('it was paired');
  const theirs = { ...named('One'), phones: { p1: { number: '+44 20 7946 0123' } } };
  await applyPush(
    { db, browser, now: TEST_NOW, country: 'GB' },
    { since: 1, changes: [{ uid: 'ada', card: theirs }] },
  );
  const after = (await view(db))?.card;
  expect([after?.emails, after?.phones]).toEqual([
    { e1: { address: 'ada@example.org' } },
    { p1: { number: '+44 20 7946 0123' } },
  ]);
});

async function view(store: HubDb) {
  const [device] = await listDevices(store);
  return device && (await (await viewOf(store, device)).ofEach(['ada'])).get('ada');
}

test('a sync whose versions aren’t kept any more isn’t undone by half', async () => {
  await put(named('One'));
  const [device] = await listDevices(db);
  if (!device) throw new Error('it was added');
  const number = await syncNow(db, device, TEST_NOW);
  await inTransaction(db, (store) =>
    putCard(store, 'ada', named('Two'), { at: TEST_NOW, device: device.id, sync: number, says: 'put' }),
  );
  await put(named('Three'));
  await thinChanges(db, ALL, TEST_NOW, never);
  expect(await undoSync({ db, now: TEST_NOW, country: 'GB' }, number)).toEqual({ cards: 0, missed: 1 });
  expect((await versions()).at(-1)).toEqual(['', 'Three']);
});

test('it is tidied once a day, and again where it was stopped', async () => {
  const retention = { years: 2, megabytes: 200 };
  expect(await tidyStore(db, retention, TEST_NOW, () => true)).toBeUndefined();
  expect(await tidyStore(db, retention, TEST_NOW, never)).toEqual({ changes: 0, pictures: 0 });
  expect(await tidyStore(db, retention, '2026-11-26T20:00:00Z', never)).toBeUndefined();
  expect(await tidyStore(db, retention, '2026-11-27T10:00:00Z', never)).toEqual({ changes: 0, pictures: 0 });
  expect(await tidyStore(db, retention, '2025-01-01T10:00:00Z', never)).toEqual({ changes: 0, pictures: 0 });
});
