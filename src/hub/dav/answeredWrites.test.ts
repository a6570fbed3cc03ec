/** @jest-environment node */
// What a device was answered is so, for it and in the book, whether or not it has fetched anything in between.
import fc from 'fast-check';

import { shownAs } from '@/core/card';
import { allCards, findCard, type HubDb, putCard } from '@/hub/store';
import { addDevice, type Credentials } from '@/hub/sync';
import { askAs, movingClock, startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

let hub: TestHub;
let db: HubDb;
beforeEach(async () => {
  hub = await startTestHub(undefined, movingClock());
  ({ db } = hub);
});
afterEach(() => hub.stop());

const ask = (who: Credentials, method: string, href: string, body?: string) =>
  askAs(hub.base, who, method, href, body === undefined ? {} : { body });
const device = (name: string) => addDevice(db, { name, direction: 'both' }, TEST_NOW);
const vcard = (uid: string, name: string, more = '') =>
  `BEGIN:VCARD\r\nVERSION:4.0\r\nUID:${uid}\r\nFN:${name}\r\n${more}END:VCARD\r\n`;

test('a card that is edited and deleted without being fetched in between is gone', async () => {
  const phone = await device('Phone');
  expect((await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Ada'))).status).toBe(201);
  expect(
    (await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Ada Lowther', 'TEL:+44 20 7946 0123\r\n'))).status,
  ).toBe(204);
  expect((await ask(phone, 'DELETE', 'a.vcf')).status).toBe(204);
  expect((await ask(phone, 'GET', 'a.vcf')).status).toBe(404);
  expect(await findCard(db, 'a')).toBeUndefined();
});

test('made again with the same UID at the same address, it has nothing of the old one', async () => {
  const phone = await device('Phone');
  await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Ada', 'TEL:+44 20 7946 0123\r\n'));
  await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Ada', 'TEL:+44 20 7946 0124\r\n'));
  await ask(phone, 'DELETE', 'a.vcf');
  expect((await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Bo'))).status).toBe(201);
  const after = await findCard(db, 'a');
  expect([after && shownAs(after), after?.phones]).toEqual(['Bo', undefined]);
});

test('a card changed here since the device saw it is kept where it is, and the device is told so', async () => {
  const phone = await device('Phone');
  await ask(phone, 'PUT', 'a.vcf', vcard('a', 'Ada'));
  const card = await findCard(db, 'a');
  if (!card) throw new Error('it was put');
  const source = { at: TEST_NOW, device: null, says: 'changed' };
  await putCard(db, 'a', { ...card, emails: { e1: { address: 'ada@example.org' } } }, source);
  expect((await ask(phone, 'DELETE', 'a.vcf')).status).toBe(409);
  expect((await ask(phone, 'GET', 'a.vcf')).text).toContain('ada@example.org');
  expect((await allCards(db)).length).toBe(1);
});

const number = (last: string) => vcard('a', 'Ada', `TEL:+44 20 7946 0${last}\r\n`);
const numbersOf = async () => Object.values((await findCard(db, 'a'))?.phones ?? {}).map((one) => one.number);

test('a device whose answer got lost changes its own value again: that is no conflict with itself', async () => {
  const phone = await device('Phone');
  await ask(phone, 'PUT', 'a.vcf', number('100'));
  const { etag } = await ask(phone, 'GET', 'a.vcf');
  const put = (body: string, headers = {}) => askAs(hub.base, phone, 'PUT', 'a.vcf', { body, headers });
  const last = { 'If-Match': etag };
  // This was done, and the device doesn't know.
  expect((await put(number('101'), last)).status).toBe(204);
  expect((await put(number('102'), last)).status).toBe(412);
  expect((await put(number('102'))).status).toBe(204);
  expect(await numbersOf()).toEqual(['+44 20 7946 0102']);
  expect(await db.selectFrom('settle').selectAll().execute()).toEqual([]);
});

test('what somebody else has changed meanwhile stays, and the device’s value is to settle', async () => {
  const phone = await device('Phone');
  await ask(phone, 'PUT', 'a.vcf', number('100'));
  const { etag } = await ask(phone, 'GET', 'a.vcf');
  const put = (body: string, headers = {}) => askAs(hub.base, phone, 'PUT', 'a.vcf', { body, headers });
  await put(number('101'), { 'If-Match': etag });
  const card = await findCard(db, 'a');
  const phones = { ...card?.phones };
  for (const id of Object.keys(phones)) phones[id] = { ...phones[id], number: '+44 20 7946 0103' };
  if (card) await putCard(db, 'a', { ...card, phones }, { at: TEST_NOW, device: null, says: 'changed' });
  await put(number('102'), { 'If-Match': etag });
  expect((await put(number('102'))).status).toBe(204);
  expect(await numbersOf()).toEqual(['+44 20 7946 0103']);
  expect(await db.selectFrom('settle').selectAll().execute()).toHaveLength(1);
});

/** What a device does with one of two addresses, each time with a value of its own. */
const act = fc.record({
  kind: fc.constantFrom('put' as const, 'put' as const, 'delete' as const, 'get' as const),
  who: fc.constantFrom(0, 1),
  at: fc.constantFrom(0, 1),
});

test('a history of putting, getting and deleting agrees with a plain model after each answer (law)', async () => {
  let run = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 1, maxLength: 14 }), async (acts) => {
      run += 1;
      // Each device has cards of its own: what crosses between devices is merged, and another test's.
      const devices = [await device(`Phone ${run}`), await device(`Client ${run}`)];
      const model = new Map<string, string>();
      for (const [i, { kind, who, at }] of acts.entries()) {
        const phone = devices[who];
        if (!phone) continue;
        const uid = `u${run}-${who}-${at}`;
        const href = `${uid}.vcf`;
        const before = model.get(uid);
        const value = `Value ${run} ${i}`;
        if (kind === 'put') {
          const { status } = await ask(phone, 'PUT', href, vcard(uid, value, `NOTE:${value}\r\n`));
          expect(status).toBe(before === undefined ? 201 : 204);
          model.set(uid, value);
        } else if (kind === 'delete') {
          const { status } = await ask(phone, 'DELETE', href);
          expect(status).toBe(before === undefined ? 404 : 204);
          model.delete(uid);
        } else {
          const { status, text } = await ask(phone, 'GET', href);
          expect(status).toBe(before === undefined ? 404 : 200);
          if (before !== undefined) expect(text).toContain(`FN:${before}\r\n`);
        }
        const stored = await findCard(db, uid);
        const now = model.get(uid);
        expect(stored && [shownAs(stored), Object.values(stored.notes ?? {})[0]?.note]).toEqual(
          now === undefined ? undefined : [now, now],
        );
      }
    }),
    { numRuns: 12 },
  );
}, 60_000);
