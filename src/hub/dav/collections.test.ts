/** @jest-environment node */
import { createJimp } from '@jimp/core';
import jpeg from '@jimp/js-jpeg';
import { methods as resizing } from '@jimp/plugin-resize';
import { createDAVClient } from 'tsdav';

import type { Card } from '@/core/card';
import { addUser, putEntries, removeEntry, removeUser } from '@/hub/directory';
import { allCards, findCard, lastSeq, putCard } from '@/hub/store';
import { addDevice, answerPull, changePassport, listDevices, type Passport, setMembers } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

const Jimp = createJimp({ plugins: [resizing], formats: [jpeg] });

let hub: TestHub;
beforeEach(async () => {
  hub = await startTestHub();
});
afterEach(() => hub.stop());

const by = { name: 'Keeper', now: TEST_NOW };
const entry = (card: Card, some: object = {}) => ({ card, isInside: false, isHidden: false, ...some });
const ADA = testPerson('ada', 'Ada Lowther', { emails: { e1: { address: 'ada@example.org' } } });
const BO = testPerson('bo', 'Bo Ek');
const put = (card: Card) =>
  putCard(hub.db, card.uid, card, { at: TEST_NOW, device: null, says: `put ${card.uid}` });

async function connect(who: Credentials) {
  const client = await createDAVClient({
    serverUrl: hub.base,
    credentials: { username: who.user, password: who.password },
    authMethod: 'Basic',
    defaultAccountType: 'carddav',
  });
  const books = await client.fetchAddressBooks();
  return { client, books };
}
const device = (some: Partial<Passport> = {}) =>
  addDevice(hub.db, { name: 'Phone', direction: 'both', ...some }, TEST_NOW);

async function ask(who: Credentials, method: string, path: string, body?: string, more: object = {}) {
  const response = await fetch(hub.base + path, {
    method,
    headers: {
      Authorization: `Basic ${btoa(`${who.user}:${who.password}`)}`,
      'Content-Type': 'text/vcard',
      ...more,
    },
    ...(body === undefined ? {} : { body }),
  });
  return { status: response.status, text: await response.text(), etag: response.headers.get('etag') ?? '' };
}

/** A device whose passport has the directory by somebody's access. */
async function withDirectory() {
  await addUser(hub.db, { name: 'Keeper', role: 'administrator', passphrase: 'harbour lights at nine' }, by);
  await addUser(hub.db, { name: 'Second', role: 'administrator', passphrase: 'harbour lights at ten' }, by);
  await putEntries(
    hub.db,
    [
      entry(ADA),
      entry(BO, { isHidden: true }),
      entry(testPerson('old', 'Old Post'), { validTo: '2020-01-01' }),
    ],
    by,
  );
  return device({ directory: 1 });
}

test('a device with the directory finds two collections; it reads those in the directory who are to be seen, and changes nobody', async () => {
  const phone = await withDirectory();
  await put(testPerson('own', 'Own Friend'));
  const { client, books } = await connect(phone);
  expect(books.map(({ displayName }) => displayName)).toEqual(['Cordialis', 'Common directory']);
  const [own, listed] = books;
  if (!own || !listed) throw new Error('two are there');
  const names = async (addressBook: typeof own) =>
    (await client.fetchVCards({ addressBook })).map(({ data }) =>
      /^FN:(.*)$/m.exec(String(data))?.[1]?.trim(),
    );
  expect(await names(own)).toEqual(['Own Friend']);
  expect(await names(listed)).toEqual(['Ada Lowther']);
  const path = `/dav/books/${phone.user}/directory/`;
  const vcard = 'BEGIN:VCARD\r\nVERSION:3.0\r\nUID:x\r\nFN:X\r\nN:X;;;;\r\nEND:VCARD\r\n';
  expect((await ask(phone, 'PUT', `${path}x.vcf`, vcard)).status).toBe(403);
  const [ada] = await client.fetchVCards({ addressBook: listed });
  expect((await ask(phone, 'DELETE', new URL(ada?.url ?? '').pathname)).status).toBe(403);
  expect((await ask(phone, 'GET', new URL(ada?.url ?? '').pathname)).text).toContain('Ada Lowther');
});

test('what comes into the directory, changes and goes is told by its tokens; whoever loses access takes it from their devices', async () => {
  const phone = await withDirectory();
  const path = `/dav/books/${phone.user}/directory/`;
  const sync = async (token: string) => {
    const body = `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${token}</d:sync-token><d:sync-level>1</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>`;
    const { status, text } = await ask(phone, 'REPORT', path, body, { 'Content-Type': 'application/xml' });
    return {
      status,
      token: /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '',
      there: [...text.matchAll(/<d:getetag>/g)].length,
      gone: [...text.matchAll(/404 Not Found<\/d:status><\/d:response>/g)].length,
    };
  };
  const first = await sync('');
  expect(first).toMatchObject({ status: 207, there: 1, gone: 0 });
  expect(await sync(first.token)).toMatchObject({ there: 0, gone: 0, token: first.token });
  await putEntries(hub.db, [entry(testPerson('cara', 'Cara Quist')), entry(ADA, { isHidden: true })], by);
  const second = await sync(first.token);
  expect(second).toMatchObject({ there: 1, gone: 1 });
  await removeEntry(hub.db, 'cara', by);
  expect(await sync(second.token)).toMatchObject({ there: 0, gone: 1 });
  expect((await sync('http://cordialis.example/sync/directory/999/2026-11-26')).status).toBe(403);
  expect((await sync('http://cordialis.example/sync/4')).status).toBe(403);
  await removeUser(hub.db, 'Keeper', by);
  expect((await sync('')).status).toBe(404);
  expect((await connect(phone)).books).toHaveLength(1);
});

test('an entry that is valid from today on is told to a device that last came yesterday', async () => {
  const phone = await withDirectory();
  await putEntries(hub.db, [entry(testPerson('cara', 'Cara Quist'), { validFrom: '2026-11-26' })], by);
  const log = await hub.db.selectFrom('directoryLog').select('id').orderBy('id', 'desc').executeTakeFirst();
  const yesterday = `http://cordialis.example/sync/directory/${log?.id ?? 0}/2026-11-25`;
  const body = `<d:sync-collection xmlns:d="DAV:"><d:sync-token>${yesterday}</d:sync-token><d:prop><d:getetag/></d:prop></d:sync-collection>`;
  const { text } = await ask(phone, 'REPORT', `/dav/books/${phone.user}/directory/`, body, {
    'Content-Type': 'application/xml',
  });
  expect([...text.matchAll(/<d:getetag>/g)]).toHaveLength(1);
});

const RULE: Card = {
  ...testPerson('choir', 'The choir'),
  kind: 'group',
  'cordialis.example:rule': { all: [] },
};

test('a list that fills itself goes to a device as a group of those the application says; what the device does to its members changes nothing', async () => {
  for (const card of [ADA, BO, RULE]) await put(card);
  const phone = await device({ groups: true });
  const { client, books } = await connect(phone);
  const [addressBook] = books;
  if (!addressBook) throw new Error('it is there');
  const cards = async () => (await client.fetchVCards({ addressBook })).map(({ data }) => String(data));
  expect(await cards()).toHaveLength(2);
  const browser = { id: 1, name: 'One', seen: null };
  expect((await answerPull(hub.db, browser as never, 0)).lists).toEqual(['choir']);
  await setMembers(hub.db, { list: 'choir', uids: ['ada', 'bo'] }, { at: TEST_NOW, device: null });
  const group = (await cards()).find((text) => text.includes('The choir')) ?? '';
  expect([...group.matchAll(/MEMBER/g)]).toHaveLength(2);
  const [{ url = '' } = {}] = (await client.fetchVCards({ addressBook })).filter(({ data }) =>
    String(data).includes('The choir'),
  );
  const seq = await lastSeq(hub.db);
  const path = new URL(url).pathname;
  const { text, etag } = await ask(phone, 'GET', path);
  const fewer = text.replace(/^(?:X-[\w-]*)?MEMBER.*\r\n/m, '');
  expect(fewer).not.toBe(text);
  expect((await ask(phone, 'PUT', path, fewer, { 'If-Match': etag })).status).toBe(204);
  expect(await lastSeq(hub.db)).toBe(seq);
  expect(await findCard(hub.db, 'choir')).toEqual(RULE);
});

test('pictures are cut to what the passport says, and the whole one stays here when the small one comes back', async () => {
  const image = new Jimp({ width: 600, height: 400, color: 0x336699ff });
  // Something fine to see, so that it doesn't become small by itself.
  for (let x = 0; x < 600; x += 1)
    for (let y = 0; y < 400; y += 1)
      image.setPixelColor((((x * y) % 251) * 0x1010100 + (x < 300 ? 0xff : 0xff3f)) >>> 0, x, y);
  const uri = await image.getBase64('image/jpeg');
  await put({ ...ADA, media: { m1: { kind: 'photo', uri } } });
  const phone = await device({ photoSide: 96 });
  const path = `/dav/books/${phone.user}/cards/`;
  const { client, books } = await connect(phone);
  const [one] = await client.fetchVCards({ addressBook: books[0] ?? { url: path } });
  const href = new URL(one?.url ?? '').pathname;
  const { text, etag } = await ask(phone, 'GET', href);
  expect(text.length).toBeLessThan(uri.length);
  const unfolded = text.replace(/\r\n[ \t]/g, '');
  const octets = Buffer.from(/PHOTO[^:]*:(?:data:[^,]*,)?(.*)/.exec(unfolded)?.[1] ?? '', 'base64');
  expect((await jpeg().decode(octets)).width).toBe(96);
  // Written anew by the device, as devices do, and with another number.
  const again = await Jimp.fromBitmap(await jpeg().decode(octets)).getBuffer('image/jpeg', { quality: 60 });
  const sent = unfolded.replace(
    /PHOTO.*\r\n/,
    `PHOTO;ENCODING=b;TYPE=JPEG:${again.toString('base64')}\r\nTEL:+442079460123\r\n`,
  );
  expect((await ask(phone, 'PUT', href, sent, { 'If-Match': etag })).status).toBe(204);
  const [after] = await allCards(hub.db);
  expect(after?.media?.['m1']?.uri).toBe(uri);
  expect(Object.keys(after?.phones ?? {})).toHaveLength(1);
});

test('a passport for what is kept there lets only that through, and marks what comes from there', async () => {
  await put(ADA);
  await put({ ...BO, 'cordialis.example:sources': { Phone: true } });
  const phone = await device({ own: true });
  const { client, books } = await connect(phone);
  const [addressBook] = books;
  if (!addressBook) throw new Error('it is there');
  const names = async () =>
    (await client.fetchVCards({ addressBook })).map(({ data }) =>
      /^FN:(.*)$/m.exec(String(data))?.[1]?.trim(),
    );
  expect(await names()).toEqual(['Bo Ek']);
  const vcard = 'BEGIN:VCARD\r\nVERSION:3.0\r\nUID:cara\r\nFN:Cara Quist\r\nN:Quist;Cara;;;\r\nEND:VCARD\r\n';
  expect((await ask(phone, 'PUT', `/dav/books/${phone.user}/cards/c.vcf`, vcard)).status).toBe(201);
  expect((await findCard(hub.db, 'cara'))?.['cordialis.example:sources']).toEqual({ Phone: true });
  expect((await names()).sort()).toEqual(['Bo Ek', 'Cara Quist']);
  await changePassport(hub.db, 'Phone', { own: false, scope: 'all' });
  expect((await listDevices(hub.db))[0]?.own).toBe(0);
  expect(await names()).toHaveLength(3);
});
