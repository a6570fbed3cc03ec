/** @jest-environment node */
import { rmSync } from 'node:fs';
import { join } from 'node:path';

import { createDAVClient } from 'tsdav';

import type { Card } from '@/core/card';
import { allCards, backUpStore, findCard, type HubDb, openStore, putCard } from '@/hub/store';
import { addDevice, listDevices, type Passport, pauseDevice, removeDevice } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

const NOW = TEST_NOW;
let hub: TestHub;
let db: HubDb;
let base = '';
let count = 0;

beforeEach(async () => {
  hub = await startTestHub();
  ({ db, base } = hub);
});
afterEach(() => hub.stop());

const ADA = testPerson('urn:uuid:00000000-0000-4000-8000-000000000001', 'Ada Lowther', {
  phones: {
    p1: { number: '+442079460123', contexts: { work: true } },
    p2: { number: '+447700900456', features: { mobile: true } },
  },
  emails: { e1: { address: 'ada@example.org' } },
  keywords: { choir: true },
  'cordialis.example:opener': 'The new organ?',
});
const BO = testPerson('bo', 'Bo Ek', { emails: { e1: { address: 'bo@example.org' } } });

async function put(...cards: Card[]): Promise<void> {
  for (const card of cards) await putCard(db, card.uid, card, { at: NOW, device: null, says: 'put' });
}

const device = (some: Partial<Passport> = {}) =>
  addDevice(db, { name: `Phone ${(count += 1)}`, direction: 'both', ...some }, NOW);
const book = ({ user }: Credentials) => `/dav/books/${user}/cards/`;

async function ask(
  who: Credentials | undefined,
  method: string,
  path: string,
  body?: string,
  headers: Record<string, string> = {},
) {
  const response = await fetch(base + path, {
    ...{ method, redirect: 'manual' as const },
    ...(body === undefined ? {} : { body }),
    headers: {
      ...(method === 'PROPFIND' ? { Depth: '0' } : {}),
      ...(who ? { Authorization: `Basic ${btoa(`${who.user}:${who.password}`)}` } : {}),
      ...(body?.startsWith('BEGIN')
        ? { 'Content-Type': 'text/vcard; charset=utf-8' }
        : { 'Content-Type': 'application/xml' }),
      ...headers,
    },
  });
  return { status: response.status, headers: response.headers, text: await response.text() };
}

const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';
const sync = (who: Credentials, token = '', props = '<d:getetag/>') =>
  ask(
    who,
    'REPORT',
    book(who),
    `<d:sync-collection ${XML}><d:sync-token>${token}</d:sync-token><d:sync-level>1</d:sync-level><d:prop>${props}</d:prop></d:sync-collection>`,
  );
const query = (who: Credentials, filter: string, more = '') =>
  ask(
    who,
    'REPORT',
    book(who),
    `<c:addressbook-query ${XML}><d:prop><d:getetag/><c:address-data><c:prop name="FN"/></c:address-data></d:prop>${filter}${more}</c:addressbook-query>`,
  );
const tokenIn = (text: string) => /<d:sync-token>([^<]*)</.exec(text)?.[1] ?? '';
const hrefsIn = (text: string) => [...text.matchAll(/<d:href>([^<]*\.vcf)</g)].map((match) => match[1] ?? '');
const namesIn = (text: string) =>
  [...text.matchAll(/^FN:(.*?)(?:&#13;)?$/gm)].map((match) => match[1]).sort();
const fetchCard = (who: Credentials, href: string, version = '3.0') =>
  ask(who, 'GET', href, undefined, { Accept: `text/vcard; version=${version}` });
const ADA_HREF = '00000000-0000-4000-8000-000000000001.vcf';

test('a client that knows the host only finds its cards (RFC 6764 §5, RFC 5397, RFC 6352 §7.1.1)', async () => {
  await put(ADA);
  const phone = await device();
  const first = await ask(undefined, 'PROPFIND', '/.well-known/carddav');
  expect([first.status, first.headers.get('location')]).toEqual([301, '/dav/']);
  expect((await ask(undefined, 'OPTIONS', '/dav/')).headers.get('dav')).toContain('addressbook');
  const principal = await ask(
    phone,
    'PROPFIND',
    '/dav/',
    `<d:propfind ${XML}><d:prop><d:current-user-principal/></d:prop></d:propfind>`,
  );
  expect(principal.text).toContain(`<d:href>/dav/principals/${phone.user}/</d:href>`);
  const home = await ask(
    phone,
    'PROPFIND',
    `/dav/principals/${phone.user}/`,
    `<d:propfind ${XML}><d:prop><c:addressbook-home-set/><d:nothing/></d:prop></d:propfind>`,
  );
  expect(home.text).toContain(`<d:href>/dav/books/${phone.user}/</d:href>`);
  // RFC 4918 §9.1: what a resource hasn't is told with 404.
  expect(home.text).toMatch(/<d:nothing\/><\/d:prop><d:status>HTTP\/1\.1 404/);
  const books = await ask(
    phone,
    'PROPFIND',
    `/dav/books/${phone.user}/`,
    `<d:propfind ${XML}><d:prop><d:resourcetype/></d:prop></d:propfind>`,
    { Depth: '1' },
  );
  expect(books.text).toMatch(new RegExp(`${book(phone)}</d:href>.*<c:addressbook/>`));
});

// The client library that is widely used, as a program of somebody else's: tsdav.
test('tsdav finds the cards, and makes, changes and deletes one', async () => {
  await put(ADA, BO);
  const { user: username, password } = await device();
  const client = await createDAVClient({
    ...{ serverUrl: base, credentials: { username, password } },
    ...{ authMethod: 'Basic', defaultAccountType: 'carddav' },
  });
  const [addressBook] = await client.fetchAddressBooks();
  if (!addressBook) throw new Error('no address book was found');
  expect(await client.fetchVCards({ addressBook })).toHaveLength(2);
  const vCardString = vcard('z-1', 'FN:Zora Quast', 'N:Quast;Zora;;;');
  expect((await client.createVCard({ addressBook, filename: 'z.vcf', vCardString })).status).toBe(201);
  const find = async () =>
    (await client.fetchVCards({ addressBook })).find(({ url }) => url.endsWith('/z.vcf'));
  const made = await find();
  const data = String(made?.data).replaceAll('Quast', 'Lind');
  expect((await client.updateVCard({ vCard: { url: '', ...made, data } })).status).toBe(204);
  const changed = await find();
  expect(changed?.data).toContain('N:Lind;Zora');
  expect((await client.deleteVCard({ vCard: { url: '', ...changed } })).status).toBe(204);
  expect(await find()).toBeUndefined();
});

test('a sync tells all at first, then what has come, changed and gone, and nothing when there is nothing (RFC 6578 §3)', async () => {
  await put(ADA, BO);
  const phone = await device();
  const first = await sync(phone);
  expect(hrefsIn(first.text)).toHaveLength(2);
  const none = await sync(phone, tokenIn(first.text));
  expect([hrefsIn(none.text), tokenIn(none.text)]).toEqual([[], tokenIn(first.text)]);
  await put({ ...ADA, keywords: { press: true } }, testPerson('cy', 'Cy Lund'));
  await putCard(db, 'bo', undefined, { at: NOW, device: null, says: 'gone' });
  const next = await sync(phone, tokenIn(first.text));
  expect(hrefsIn(next.text)).toHaveLength(3);
  expect(next.text).toMatch(/\.vcf<\/d:href><d:status>HTTP\/1\.1 404 Not Found/);
});

test('a token that isn’t known is refused with the standard’s condition', async () => {
  const phone = await device();
  for (const token of [
    'http://cordialis.example/sync/999999',
    'nonsense',
    'http://cordialis.example/sync/-1',
  ]) {
    const answer = await sync(phone, token);
    expect(answer.status).toBe(403);
    expect(answer.text).toContain('<d:valid-sync-token/>');
  }
});

test('multiget serves what there is, and 404 for the rest, in the version asked for (RFC 6352 §8.7)', async () => {
  await put(ADA);
  const phone = await device();
  const body = (version: string) =>
    `<c:addressbook-multiget ${XML}><d:prop><d:getetag/><c:address-data content-type="text/vcard" version="${version}"/></d:prop><d:href>${book(phone)}${ADA_HREF}</d:href><d:href>${book(phone)}none.vcf</d:href></c:addressbook-multiget>`;
  const four = await ask(phone, 'REPORT', book(phone), body('4.0'));
  expect(four.text).toContain('VERSION:4.0');
  expect(four.text).toMatch(/none\.vcf<\/d:href><d:status>HTTP\/1\.1 404/);
  expect((await ask(phone, 'REPORT', book(phone), body('3.0'))).text).toContain('VERSION:3.0');
  const unknown = await ask(phone, 'REPORT', book(phone), body('2.0'));
  expect(unknown.text).toContain('<c:supported-address-data/>');
  // What only this book knows never goes to a device.
  expect(four.text).not.toContain('organ');
});

const filters: readonly { name: string; filter: string; found: readonly string[] }[] = [
  {
    name: 'contains, without regard to capitals',
    filter:
      '<c:prop-filter name="FN"><c:text-match collation="i;unicode-casemap" match-type="contains">LOWT</c:text-match></c:prop-filter>',
    found: ['Ada Lowther'],
  },
  {
    name: 'equals',
    filter:
      '<c:prop-filter name="EMAIL"><c:text-match match-type="equals">bo@example.org</c:text-match></c:prop-filter>',
    found: ['Bo Ek'],
  },
  {
    name: 'starts-with',
    filter:
      '<c:prop-filter name="FN"><c:text-match match-type="starts-with">bo</c:text-match></c:prop-filter>',
    found: ['Bo Ek'],
  },
  {
    name: 'negated',
    filter:
      '<c:prop-filter name="FN"><c:text-match negate-condition="yes">ada</c:text-match></c:prop-filter>',
    found: ['Bo Ek'],
  },
  {
    name: 'not defined',
    filter: '<c:prop-filter name="TEL"><c:is-not-defined/></c:prop-filter>',
    found: ['Bo Ek'],
  },
  {
    name: 'a parameter',
    filter:
      '<c:prop-filter name="TEL"><c:param-filter name="TYPE"><c:text-match match-type="equals">cell</c:text-match></c:param-filter></c:prop-filter>',
    found: ['Ada Lowther'],
  },
  {
    name: 'any of two',
    filter:
      '<c:prop-filter name="TEL"/><c:prop-filter name="FN"><c:text-match>ek</c:text-match></c:prop-filter>',
    found: ['Ada Lowther', 'Bo Ek'],
  },
];
for (const { name, filter, found } of filters)
  test(`a query by ${name} (RFC 6352 §10.5)`, async () => {
    await put(ADA, BO);
    const phone = await device();
    const answer = await query(phone, `<c:filter>${filter}</c:filter>`);
    expect(namesIn(answer.text)).toEqual(found);
    // Only the property asked for, and what a vCard can't do without.
    expect(answer.text).not.toContain('EMAIL');
  });

test('a query for all of two, with a limit, and with a collation that nobody knows', async () => {
  await put(ADA, BO);
  const phone = await device();
  const all =
    '<c:filter test="allof"><c:prop-filter name="TEL"/><c:prop-filter name="FN"><c:text-match>ek</c:text-match></c:prop-filter></c:filter>';
  expect(namesIn((await query(phone, all)).text)).toEqual([]);
  const limited = await query(phone, '<c:filter/>', '<c:limit><c:nresults>1</c:nresults></c:limit>');
  expect(namesIn(limited.text)).toHaveLength(1);
  expect(limited.text).toContain('HTTP/1.1 507 Insufficient Storage');
  const unknown = await query(
    phone,
    '<c:filter><c:prop-filter name="FN"><c:text-match collation="i;klingon">x</c:text-match></c:prop-filter></c:filter>',
  );
  expect(unknown.text).toContain('<c:supported-collation/>');
});

const vcard = (uid: string, ...lines: string[]) =>
  ['BEGIN:VCARD', 'VERSION:3.0', `UID:${uid}`, ...lines, 'END:VCARD', ''].join('\r\n');

test('a device makes, changes and deletes a card; conditions are kept (RFC 6352 §6.3.2, RFC 9110 §13.1)', async () => {
  const phone = await device();
  const href = `${book(phone)}zora.vcf`;
  const made = await ask(
    phone,
    'PUT',
    href,
    vcard('z-1', 'FN:Zora Quast', 'N:Quast;Zora;;;', 'TEL:07700 900999'),
    { 'If-None-Match': '*' },
  );
  expect(made.status).toBe(201);
  expect(made.headers.get('etag')).toBeNull();
  expect(
    (
      await ask(phone, 'PUT', href, vcard('z-1', 'FN:Zora Quast', 'N:Quast;Zora;;;'), {
        'If-None-Match': '*',
      })
    ).status,
  ).toBe(412);
  const etag = (await fetchCard(phone, href)).headers.get('etag') ?? '';
  expect((await ask(phone, 'GET', href, undefined, { 'If-None-Match': etag })).status).toBe(304);
  const changed = vcard('z-1', 'FN:Zora Lind', 'N:Lind;Zora;;;', 'TEL:07700 900999');
  expect((await ask(phone, 'PUT', href, changed, { 'If-Match': '"other"' })).status).toBe(412);
  expect((await ask(phone, 'PUT', href, changed, { 'If-Match': etag })).status).toBe(204);
  expect((await findCard(db, 'z-1'))?.name?.components?.map(({ value }) => value)).toEqual(['Zora', 'Lind']);
  expect((await ask(phone, 'DELETE', href, undefined, { 'If-Match': etag })).status).toBe(412);
  await fetchCard(phone, href);
  expect((await ask(phone, 'DELETE', href)).status).toBe(204);
  expect(await allCards(db)).toEqual([]);
  expect((await fetchCard(phone, href)).status).toBe(404);
});

test('what a device writes otherwise or doesn’t hold is no change; what it edits is', async () => {
  await put(ADA);
  const phone = await device();
  const href = book(phone) + ADA_HREF;
  await fetchCard(phone, href);
  await ask(
    phone,
    'PUT',
    href,
    vcard(
      ADA.uid,
      'FN:Ada Lowther',
      'N:Lowther;Ada;;;',
      'TEL;TYPE=CELL:07700 900 456',
      'TEL;TYPE=WORK:020 7946 0123',
    ),
  );
  expect(await findCard(db, ADA.uid)).toEqual(ADA);
  const counts = () => db.selectFrom('syncs').select(['came', 'went']).execute();
  expect(await counts()).toEqual([{ came: 0, went: 1 }]);
  await ask(
    phone,
    'PUT',
    href,
    vcard(
      ADA.uid,
      'FN:Ada Lowther',
      'N:Lowther;Ada;;;',
      'TEL;TYPE=CELL:07700 900 456',
      'TEL;TYPE=WORK:020 7946 0999',
    ),
  );
  expect(await counts()).toEqual([{ came: 1, went: 1 }]);
  const after = await findCard(db, ADA.uid);
  expect(Object.values(after?.phones ?? {}).map(({ number }) => number.replace(/ /g, ''))).toEqual([
    '02079460999',
    '+447700900456',
  ]);
  expect(after).toMatchObject({
    emails: ADA.emails,
    keywords: ADA.keywords,
    'cordialis.example:opener': 'The new organ?',
  });
});

test('two sides that change one value differently: both are kept until somebody chooses', async () => {
  await put(ADA);
  const phone = await device();
  const href = book(phone) + ADA_HREF;
  const served = await fetchCard(phone, href);
  await put({
    ...ADA,
    emails: { e1: { address: 'book@example.org' } },
    keywords: { choir: true, press: true },
  });
  await ask(phone, 'PUT', href, served.text.replace('ada@example.org', 'phone@example.org'));
  expect(await findCard(db, ADA.uid)).toMatchObject({
    emails: { e1: { address: 'book@example.org' } },
    keywords: { choir: true, press: true },
  });
  const open = await db.selectFrom('settle').selectAll().execute();
  expect(open.map(({ path, mine, theirs }) => [path, mine, theirs])).toEqual([
    ['emails/e1/address', '"book@example.org"', '"phone@example.org"'],
  ]);
});

test('a card that was changed here is not lost to a deletion there, and comes back to the device', async () => {
  await put(ADA);
  const phone = await device();
  const href = book(phone) + ADA_HREF;
  await fetchCard(phone, href);
  const { text } = await sync(phone);
  await put({ ...ADA, keywords: { press: true } });
  // RFC 9110 §15.5.10: said, and not answered as if it were done.
  const refused = await ask(phone, 'DELETE', href);
  expect([refused.status, refused.text]).toEqual([409, expect.stringMatching(/changed since/)]);
  expect(await findCard(db, ADA.uid)).toMatchObject({ keywords: { press: true } });
  expect(hrefsIn((await sync(phone, tokenIn(text))).text)).toEqual([href]);
  // Whoever has seen it, or names the version that is here, means it.
  const etag = (await fetchCard(phone, href)).headers.get('etag') ?? '';
  await put({ ...ADA, keywords: { choir: true } });
  expect((await ask(phone, 'DELETE', href, undefined, { 'If-Match': etag })).status).toBe(412);
  await fetchCard(phone, href);
  expect((await ask(phone, 'DELETE', href)).status).toBe(204);
  expect(await findCard(db, ADA.uid)).toBeUndefined();
});

test('a newcomer that looks like somebody of the book and says more is a card of its own', async () => {
  await put(ADA);
  const phone = await device();
  await sync(phone);
  const href = `${book(phone)}mine.vcf`;
  const more = vcard(
    'own-7',
    'FN:Ada Lowther',
    'N:Lowther;Ada;;;',
    'EMAIL:ada@example.org',
    'TEL:020 7946 0777',
  );
  expect((await ask(phone, 'PUT', href, more)).status).toBe(201);
  const cards = await allCards(db);
  expect(cards.map(({ uid }) => uid).toSorted()).toEqual([ADA.uid, 'own-7'].toSorted());
  expect((await fetchCard(phone, href)).text).toContain('020 7946 0777');
  // Another one with her UID would be a second card.
  const double = await ask(phone, 'PUT', `${book(phone)}again.vcf`, more);
  expect([double.status, double.text]).toEqual([409, expect.stringContaining('<c:no-uid-conflict>')]);
});

test('a newcomer that says nothing beyond a card of the book is that card; its address answers until a sync has told', async () => {
  await put(ADA);
  const phone = await device();
  const first = tokenIn((await sync(phone)).text);
  const href = `${book(phone)}mine.vcf`;
  // The device has read hers already, so that it now holds two.
  await fetchCard(phone, book(phone) + ADA_HREF);
  const same = vcard('own-7', 'FN:Ada Lowther', 'N:Lowther;Ada;;;', 'EMAIL:ada@example.org');
  expect((await ask(phone, 'PUT', href, same)).status).toBe(201);
  expect(await allCards(db)).toHaveLength(1);
  expect((await ask(phone, 'GET', href)).status).toBe(200);
  const next = await sync(phone, first);
  expect(next.text).toContain('mine.vcf');
  expect(next.text).toContain('404 Not Found');
  expect((await ask(phone, 'GET', href)).status).toBe(404);
});

test('a passport lets through what it says: a tag, one direction, never what is private or archived', async () => {
  await put(
    ADA,
    BO,
    { ...BO, uid: 'p', 'cordialis.example:private': true },
    { ...BO, uid: 'a', 'cordialis.example:archived': true },
  );
  const [choir, outward] = [await device({ tag: 'choir' }), await device({ direction: 'out' })];
  expect(hrefsIn((await sync(choir)).text)).toEqual([book(choir) + ADA_HREF]);
  const all = await sync(outward);
  expect(hrefsIn(all.text)).toHaveLength(2);
  const refused = await ask(outward, 'PUT', `${book(outward)}x.vcf`, vcard('x', 'FN:X'));
  expect([refused.status, refused.text]).toEqual([403, expect.stringContaining('<d:need-privileges>')]);
  // A card that leaves the rule goes from the device, and stays in the book.
  const before = tokenIn((await sync(choir)).text);
  await put({ ...ADA, keywords: { press: true } });
  expect((await sync(choir, before)).text).toMatch(/404 Not Found/);
  expect(await findCard(db, ADA.uid)).toBeDefined();
});

test('one device never reaches another’s addresses', async () => {
  const [one, other] = [await device(), await device()];
  expect((await ask(one, 'PROPFIND', book(other))).status).toBe(404);
  expect((await ask(one, 'GET', `${book(one)}..%2F..%2F${other.user}%2Fcards%2Fx.vcf`)).status).toBe(404);
});

test('what isn’t a card, is too large, isn’t XML or brings a document type is refused with its reason', async () => {
  const phone = await device();
  const href = `${book(phone)}x.vcf`;
  expect((await ask(phone, 'PUT', href, 'BEGIN nothing')).text).toContain('<c:valid-address-data/>');
  expect((await ask(phone, 'PUT', href, '{}', { 'Content-Type': 'application/json' })).status).toBe(415);
  const large = await ask(phone, 'PUT', href, vcard('x', 'FN:X', `NOTE:${'x'.repeat(2_100_000)}`));
  expect(large.text).toContain('<c:max-resource-size/>');
  expect((await ask(phone, 'PROPFIND', book(phone), '<d:propfind')).status).toBe(400);
  const bomb =
    '<!DOCTYPE x [<!ENTITY a "aaaa">]><d:propfind xmlns:d="DAV:"><d:prop>&a;</d:prop></d:propfind>';
  expect((await ask(phone, 'PROPFIND', book(phone), bomb)).status).toBe(400);
  expect((await ask(phone, 'LOCK', href)).status).toBe(405);
  expect((await ask(phone, 'PROPFIND', book(phone), '', { Depth: 'infinity' })).text).toContain(
    'propfind-finite-depth',
  );
});

test('a wrong password, an unknown name, a paused and a removed passport are all kept out', async () => {
  const phone = await device({ name: 'Only' });
  const wrong = await ask({ ...phone, password: 'x' }, 'PROPFIND', '/dav/');
  expect([wrong.status, wrong.headers.get('www-authenticate')]).toEqual([
    401,
    expect.stringContaining('Basic'),
  ]);
  const nobody = await ask({ user: 'nobody', password: 'x' }, 'PROPFIND', '/dav/');
  expect([nobody.status, nobody.text]).toEqual([401, wrong.text]);
  expect((await ask(phone, 'PROPFIND', '/dav/')).status).toBe(207);
  await pauseDevice(db, 'Only', true);
  expect((await ask(phone, 'PROPFIND', '/dav/')).status).toBe(403);
  await removeDevice(db, 'Only');
  expect((await ask(phone, 'PROPFIND', '/dav/')).status).toBe(401);
  expect(await listDevices(db)).toEqual([]);
});

test('a backup made while the store is in use opens as one', async () => {
  await put(ADA);
  const copy = join(hub.folder, 'copy');
  const other = await openStore(copy);
  await other.destroy();
  rmSync(join(copy, 'hub.db'));
  await backUpStore(db, join(copy, 'hub.db'));
  const again = await openStore(copy);
  expect(await allCards(again)).toEqual([ADA]);
  await again.destroy();
});

test('an entry may be called like a part of JavaScript’s objects, and be changed and taken away', async () => {
  const phone = await device();
  const vcard = (...lines: string[]) =>
    ['BEGIN:VCARD', 'VERSION:4.0', 'UID:u', 'FN:Ada', ...lines, 'END:VCARD', ''].join('\r\n');
  const lines = [
    'TEL;PROP-ID=constructor;VALUE=text:+442079460123',
    'EMAIL;PROP-ID=toString:a@example.org',
    'BDAY;PROP-ID=valueOf:19850412',
    'ADR;PROP-ID=hasOwnProperty:;;;Hull;;;',
  ];
  expect((await ask(phone, 'PUT', `${book(phone)}u.vcf`, vcard(...lines))).status).toBe(201);
  await sync(phone, '', '<d:getetag/><c:address-data/>');
  const [, ...fewer] = lines;
  for (const some of [
    fewer,
    lines.map((line) => line.replace('19850412', '19860413')),
    ['NOTE;PROP-ID=isPrototypeOf:x'],
  ])
    expect((await ask(phone, 'PUT', `${book(phone)}u.vcf`, vcard(...some))).status).toBe(204);
  expect(await findCard(db, 'u')).toMatchObject({ notes: { isPrototypeOf: { note: 'x' } } });
});
