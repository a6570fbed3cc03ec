/** @jest-environment node */
import sharp from 'sharp';

import { putCard } from '@/hub/store';
import { addDevice, changePassport } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';

let hub: TestHub;
let phone: Credentials;
beforeEach(async () => {
  hub = await startTestHub((app) => app.get('/api/health', (_, response) => void response.json('here')));
  phone = await addDevice(hub.db, { name: 'Phone', direction: 'both' }, TEST_NOW);
});
afterEach(() => hub.stop());

const uidOf = (i: number) => `urn:uuid:00000000-0000-4000-8000-${String(i).padStart(12, '0')}`;
const put = (i: number, name = `Person ${i}`) =>
  putCard(hub.db, uidOf(i), testPerson(uidOf(i), name), { at: TEST_NOW, device: null, says: 'put' });
const book = () => `/dav/books/${phone.user}/cards/`;

async function ask(method: string, path: string, body: string, type = 'application/xml') {
  const response = await fetch(hub.base + path, {
    ...{ method, body },
    headers: { Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`, 'Content-Type': type },
  });
  return { status: response.status, text: await response.text() };
}
const hrefsIn = (text: string) =>
  [...text.matchAll(/<d:response><d:href>([^<]*)<\/d:href><d:propstat>/g)].map(([, href = '']) => href);
const goneIn = (text: string) =>
  [...text.matchAll(/<d:href>([^<]*)<\/d:href><d:status>HTTP\/1.1 404/g)].map(([, href = '']) => href);

async function sync(token: string, more = '') {
  const { status, text } = await ask(
    'REPORT',
    book(),
    `<d:sync-collection ${XML}><d:sync-token>${token}</d:sync-token><d:sync-level>1</d:sync-level>${more}<d:prop><d:getetag/></d:prop></d:sync-collection>`,
  );
  const next = /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '';
  return { status, next, here: hrefsIn(text), gone: goneIn(text), isMore: text.includes('507') };
}

/** Syncs until nothing is left to tell. @param meanwhile - what happens between two parts */
async function syncWhole(from: string, limit: number, meanwhile: (part: number) => Promise<unknown>) {
  const here: string[] = [];
  const gone: string[] = [];
  let token = from;
  for (let part = 0; part < 100; part += 1) {
    const said = await sync(token, `<d:limit><d:nresults>${limit}</d:nresults></d:limit>`);
    expect(said.here.length).toBeLessThanOrEqual(limit);
    here.push(...said.here);
    gone.push(...said.gone);
    token = said.next;
    if (!said.isMore) return { here, gone, token };
    await meanwhile(part);
  }
  throw new Error('it never ends');
}

// RFC 6578 §3.6 and §3.7: much is told in parts, each with a token that goes on.
test('a sync in parts tells everything once, and what changes meanwhile with the next', async () => {
  for (let i = 0; i < 25; i += 1) await put(i);
  const first = await syncWhole('', 10, async (part) => {
    // Changed, come and gone while it is told.
    if (part === 0) await Promise.all([put(3, 'Changed'), put(100, 'Come')]);
    if (part === 1) await putCard(hub.db, uidOf(7), undefined, { at: TEST_NOW, device: null, says: 'gone' });
  });
  expect(new Set(first.here).size).toBe(first.here.length);
  const then = await syncWhole(first.token, 10, () => Promise.resolve());
  const known = new Set([...first.here, ...then.here].filter((href) => !then.gone.includes(href)));
  const now = await sync('');
  expect([...known].sort()).toEqual([...now.here].sort());
  expect(then.here).toEqual(expect.arrayContaining([expect.stringContaining('000000000003')]));
  expect((await sync(then.token)).here).toEqual([]);
});

test('changes since a token come in parts too, and a passport that changes in between ends them', async () => {
  await put(0);
  const { next } = await sync('');
  for (let i = 1; i < 25; i += 1) await put(i);
  const { here, token } = await syncWhole(next, 7, () => Promise.resolve());
  expect(here).toHaveLength(24);
  expect((await sync(token)).here).toEqual([]);
  const half = await sync(next, '<d:limit><d:nresults>5</d:nresults></d:limit>');
  await put(99);
  await changePassport(hub.db, 'Phone', { notes: false });
  expect((await sync(half.next)).status).toBe(403);
});

test('a card that is asked for thirty thousand times is told once', async () => {
  await put(1);
  const href = (await sync('')).here[0] ?? '';
  const many = `<d:href>${href}</d:href>`.repeat(30_000);
  const body = `<c:addressbook-multiget ${XML}><d:prop><d:getetag/><c:address-data/></d:prop>${many}</c:addressbook-multiget>`;
  const { status, text } = await ask('REPORT', book(), body);
  expect([status, hrefsIn(text)]).toEqual([207, [href]]);
});

test.each([
  ['more elements than a book has cards', `<a xmlns="DAV:">${'<b/>'.repeat(70_000)}</a>`, 400],
  ['more octets than that takes', `<a xmlns="DAV:">${' '.repeat(4_000_000)}</a>`, 413],
])('%s are refused', async (_, body, status) => {
  expect((await ask('REPORT', book(), body)).status).toBe(status);
});

test('a body is read of nobody who isn’t let in', async () => {
  const response = await fetch(`${hub.base}${book()}x.vcf`, {
    method: 'PUT',
    body: 'x'.repeat(20_000_000),
  }).catch(() => undefined);
  // It may hang up before all has been said.
  if (response) expect(response.status).toBe(401);
});

test('while a small file that unfolds into a huge picture is looked at, everything else is answered, and both writes stand', async () => {
  const huge = await sharp({
    create: { width: 7000, height: 7000, channels: 3, background: '#336699' },
  })
    .png()
    .toBuffer();
  const vcard = (note: string) =>
    [
      ...['BEGIN:VCARD', 'VERSION:3.0', 'UID:huge', 'FN:Huge Picture', 'N:Picture;Huge;;;', `NOTE:${note}`],
      ...[`PHOTO;ENCODING=b;TYPE=PNG:${huge.toString('base64')}`, 'END:VCARD', ''],
    ].join('\r\n');
  await changePassport(hub.db, 'Phone', { photoSide: 320 });
  expect((await ask('PUT', `${book()}huge.vcf`, vcard('one'), 'text/vcard')).status).toBe(201);
  // It was served cut down: the pixels of both have to be compared.
  let isOver = false;
  const second = ask('PUT', `${book()}huge.vcf`, vcard('two'), 'text/vcard').finally(() => (isOver = true));
  let [answered, count] = [0, 0];
  while (!isOver) {
    await Promise.all([
      fetch(`${hub.base}/api/health`).then(() => (answered += 1)),
      // A write of somebody else isn't kept waiting either.
      put((count += 1)),
    ]);
  }
  expect((await second).status).toBe(204);
  expect(answered).toBeGreaterThan(1);
  expect((await ask('GET', `${book()}huge.vcf`, undefined as never)).text).toContain('NOTE:two');
});
