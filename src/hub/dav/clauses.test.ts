/** @jest-environment node */
// Clauses of RFC 3744, 4918, 6352, 6578 and 9110 one by one; docs/carddav.md says which test stands for which.
import { connect } from 'node:net';

import { type HubDb, putCard } from '@/hub/store';
import { addDevice, type Passport } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

let hub: TestHub;
let [db, base] = [undefined as unknown as HubDb, ''];
let phone: Credentials;
let count = 0;
beforeEach(async () => {
  hub = await startTestHub();
  ({ db, base } = hub);
  phone = await device();
  const ada = testPerson('ada', 'Ada Lowther', {
    emails: { e1: { address: 'ada@example.org', label: 'a:b' } },
  });
  await putCard(db, 'ada', ada, { at: TEST_NOW, device: null, says: 'put' });
});
afterEach(() => hub.stop());

const device = (some: Partial<Passport> = {}) =>
  addDevice(db, { name: `Phone ${(count += 1)}`, direction: 'both', ...some }, TEST_NOW);
const book = () => `/dav/books/${phone.user}/cards/`;
const XML = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';

async function ask(method: string, path: string, body?: string, headers: Record<string, string> = {}) {
  const response = await fetch(base + path, {
    ...{ method, redirect: 'manual' as const },
    ...(body === undefined ? {} : { body }),
    headers: {
      Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`,
      'Content-Type': body?.startsWith('BEGIN') === true ? 'text/vcard' : 'application/xml',
      ...headers,
    },
  });
  return { status: response.status, headers: response.headers, text: await response.text() };
}
const propfind = (path: string, inner: string, headers: Record<string, string> = { Depth: '0' }) =>
  ask('PROPFIND', path, `<d:propfind ${XML}>${inner}</d:propfind>`, headers);
const card = (uid: string, ...lines: readonly string[]) =>
  ['BEGIN:VCARD', 'VERSION:3.0', `UID:${uid}`, 'FN:Zora Quast', ...lines, 'END:VCARD', ''].join('\r\n');
const where = async () =>
  /<d:href>([^<]*\.vcf)</.exec(
    (await propfind(book(), '<d:prop><d:getetag/></d:prop>', { Depth: '1' })).text,
  )?.[1] ?? '';
const tagOf = async (path: string) => (await ask('GET', path)).headers.get('etag') ?? '';
const tokenOf = async () =>
  /<d:sync-token>([^<]*)</.exec((await propfind(book(), '<d:prop><d:sync-token/></d:prop>')).text)?.[1] ?? '';

test('RFC 4918 §9.1: PROPFIND without a depth is of infinite depth, which is refused; others are no depth', async () => {
  const none = await propfind(book(), '<d:allprop/>', {});
  expect([none.status, none.text.includes('propfind-finite-depth')]).toEqual([403, true]);
  expect((await propfind(book(), '<d:allprop/>', { Depth: 'Infinity' })).status).toBe(403);
  expect((await propfind(book(), '<d:allprop/>', { Depth: '2' })).status).toBe(400);
  expect((await propfind(book(), '<d:allprop/>', { Depth: '1' })).status).toBe(207);
});

test('RFC 4918 §9.1, §14.8: allprop with include tells those too; a body of another name is refused', async () => {
  const { text } = await propfind(
    book(),
    '<d:allprop/><d:include><d:sync-token/><d:supported-report-set/></d:include>',
  );
  expect([
    text.includes('<d:sync-token>'),
    text.includes('addressbook-multiget'),
    text.includes('displayname'),
  ]).toEqual([true, true, true]);
  expect((await ask('PROPFIND', book(), `<d:propertyupdate ${XML}/>`, { Depth: '0' })).status).toBe(400);
  expect((await propfind(book(), '<d:other/>')).status).toBe(400);
});

test('RFC 4918 §9.2: PROPPATCH tells of each property that it isn’t changed', async () => {
  const body = (inner: string) => `<d:propertyupdate ${XML}>${inner}</d:propertyupdate>`;
  const set =
    '<d:set><d:prop><d:displayname>Mine</d:displayname><x:colour xmlns:x="urn:x">red</x:colour></d:prop></d:set>';
  const { status, text } = await ask(
    'PROPPATCH',
    book(),
    body(`${set}<d:remove><d:prop><d:owner/></d:prop></d:remove>`),
  );
  expect(status).toBe(207);
  for (const part of [
    '<d:displayname/>',
    'colour xmlns="urn:x"',
    '<d:owner/>',
    '403 Forbidden',
    'cannot-modify-protected-property',
  ])
    expect(text).toContain(part);
  expect((await ask('PROPPATCH', book(), body(''))).status).toBe(400);
  expect((await ask('PROPPATCH', `${book()}nobody.vcf`, body(set))).status).toBe(404);
  expect((await ask('OPTIONS', book())).headers.get('allow')).toContain('PROPPATCH');
});

test('RFC 6352 §6.2, §7.1.1, §8.3.1, RFC 3744 §4: properties of collections and principals', async () => {
  const asked = (names: readonly string[]) =>
    `<d:prop>${names.map((name) => `<${name}/>`).join('')}</d:prop>`;
  const ofBook = ['c:addressbook-description', 'c:supported-address-data', 'c:max-resource-size'];
  const more = ['c:supported-collation-set', 'd:sync-token', 'd:resourcetype', 'd:supported-report-set'];
  const collection = await propfind(book(), asked([...ofBook, ...more]));
  expect(collection.text).not.toContain('404 Not Found');
  for (const part of ['version="3.0"', 'version="4.0"', 'i;unicode-casemap', '<c:addressbook/>'])
    expect(collection.text).toContain(part);
  const ofPrincipal = ['d:principal-URL', 'd:alternate-URI-set', 'd:group-member-set', 'd:group-membership'];
  const principal = await propfind(
    `/dav/principals/${phone.user}/`,
    asked([...ofPrincipal, 'c:addressbook-home-set']),
  );
  expect(principal.text).not.toContain('404 Not Found');
  expect((await propfind(book(), asked(['d:creationdate', 'c:principal-address']))).text).toContain(
    '404 Not Found',
  );
});

test('RFC 3744 §5.3 to §5.6: privileges, who has them and what holds for lists of them', async () => {
  const names = [
    'supported-privilege-set',
    'current-user-privilege-set',
    'acl',
    'acl-restrictions',
    'inherited-acl-set',
    'principal-collection-set',
    'owner',
  ];
  const { text } = await propfind(book(), `<d:prop>${names.map((name) => `<d:${name}/>`).join('')}</d:prop>`);
  expect(text).not.toContain('404 Not Found');
  for (const part of [
    '<d:supported-privilege><d:privilege><d:all/>',
    '<d:write-content/>',
    '<d:grant-only/>',
    '<d:protected/>',
  ])
    expect(text).toContain(part);
});

test('RFC 3744 §7.1.1: a missing privilege is named, with the resource', async () => {
  phone = await device({ direction: 'out' });
  const { status, text } = await ask('PUT', `${book()}z.vcf`, card('z'));
  expect(status).toBe(403);
  expect(text).toContain(
    `<d:need-privileges><d:resource><d:href>${book()}z.vcf</d:href><d:privilege><d:write-content/></d:privilege></d:resource></d:need-privileges>`,
  );
});

test('RFC 4918 §10.4: the If header is heeded, with entity tags, tokens of the collection, Not and several lists', async () => {
  const path = await where();
  const [tag, token] = [await tagOf(path), await tokenOf()];
  const change = (condition: string) => ask('PUT', path, card('ada', 'NOTE:changed'), { If: condition });
  for (const condition of [
    '(["other"])',
    `(Not [${tag}])`,
    `(W/[${tag}])`.replace('W/[', '[W/'),
    '(<urn:uuid:no-such-lock>)',
    `<${book()}> (<data:other>)`,
    `<${base}${book()}> (Not <${token}>)`,
  ])
    expect([condition, (await change(condition)).status]).toEqual([condition, 412]);
  for (const condition of ['()', '([', 'etag', `(Not Not [${tag}])`])
    expect([condition, (await change(condition)).status]).toEqual([condition, 400]);
  const [now, then] = [await tagOf(path), await tokenOf()];
  expect((await change(`(["other"]) ([${now}] Not <urn:x:none>)`)).status).toBe(204);
  // RFC 6578 §5: only if nothing in the collection has changed.
  expect((await ask('DELETE', path, undefined, { If: `<${book()}> (<${then}>)` })).status).toBe(412);
  expect(
    (await ask('DELETE', path, undefined, { If: `<${base}${book()}> (<${await tokenOf()}>)` })).status,
  ).toBe(204);
});

test('RFC 4918 §9.3, §9.8 to §9.11, RFC 3744 §8.1: what is not done is said so, with what is; reports only of cards', async () => {
  for (const method of ['MKCOL', 'COPY', 'MOVE', 'LOCK', 'UNLOCK', 'ACL', 'POST', 'PATCH']) {
    const { status, headers } = await ask(method, await where());
    expect([method, status, headers.get('allow')]).toEqual([method, 405, expect.stringContaining('REPORT')]);
  }
  expect((await ask('DELETE', book())).status).toBe(403);
  const { status, text } = await ask(
    'REPORT',
    `/dav/principals/${phone.user}/`,
    `<d:expand-property ${XML}/>`,
  );
  expect([status, text.includes('supported-report')]).toEqual([403, true]);
  expect((await ask('REPORT', book(), `<d:expand-property ${XML}/>`)).text).toContain('supported-report');
});

test('RFC 6352 §8.5, RFC 6578 §3.3: properties of no standard are found; any level of a sync is the same', async () => {
  expect((await ask('PUT', `${book()}x.vcf`, card('x', 'X-BERTH:quay five'))).status).toBe(201);
  const query = `<c:addressbook-query ${XML}><d:prop><d:getetag/></d:prop><c:filter><c:prop-filter name="X-BERTH"><c:text-match>five</c:text-match></c:prop-filter></c:filter></c:addressbook-query>`;
  expect((await ask('REPORT', book(), query, { Depth: '1' })).text.match(/\.vcf/g)).toHaveLength(1);
  const sync = (level: string) =>
    `<d:sync-collection ${XML}><d:sync-token/><d:sync-level>${level}</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>`;
  for (const level of ['1', 'infinite'])
    expect((await ask('REPORT', book(), sync(level))).text.match(/\.vcf/g)).toHaveLength(2);
});

test('RFC 6578 §3.2: a sync is of depth 0', async () => {
  const body = `<d:sync-collection ${XML}><d:sync-token/><d:sync-level>1</d:sync-level><d:prop><d:getetag/></d:prop></d:sync-collection>`;
  expect((await ask('REPORT', book(), body, { Depth: '1' })).status).toBe(400);
  expect((await ask('REPORT', book(), body, { Depth: '0' })).status).toBe(207);
  expect((await ask('REPORT', book(), body)).status).toBe(207);
});

test('RFC 6352 §8.6: a query of depth 0 is of the collection alone; one without a filter is none', async () => {
  const query = (filter: string) =>
    `<c:addressbook-query ${XML}><d:prop><d:getetag/></d:prop>${filter}</c:addressbook-query>`;
  const all = query('<c:filter><c:prop-filter name="FN"/></c:filter>');
  expect((await ask('REPORT', book(), all, { Depth: '0' })).text).not.toContain('.vcf');
  expect((await ask('REPORT', book(), all, { Depth: '1' })).text).toContain('.vcf');
  expect((await ask('REPORT', book(), query(''), { Depth: '1' })).status).toBe(400);
});

test('RFC 6352 §10.4.2: some properties, of some only that they are there', async () => {
  const path = await where();
  const data = '<c:address-data><c:prop name="FN"/><c:prop name="email" novalue="yes"/></c:address-data>';
  const reports = [
    `<c:addressbook-multiget ${XML}><d:prop>${data}</d:prop><d:href>${path}</d:href></c:addressbook-multiget>`,
    `<c:addressbook-query ${XML}><d:prop>${data}</d:prop><c:filter><c:prop-filter name="FN"/></c:filter></c:addressbook-query>`,
  ];
  for (const report of reports) {
    const { text } = await ask('REPORT', book(), report, { Depth: '1' });
    const lines = (/<c:address-data>([^<]*)</.exec(text)?.[1] ?? '').replaceAll('&#13;', '').split('\n');
    expect(lines.filter(Boolean)).toEqual([
      'BEGIN:VCARD',
      'VERSION:3.0',
      'FN:Ada Lowther',
      expect.stringMatching(/^(\w+\.)?EMAIL[^:]*:$/),
      'END:VCARD',
    ]);
  }
});

test('RFC 6352 §6.3.2.1: a card is not put in the place of one with another UID, whose address is told', async () => {
  const path = await where();
  const { status, text } = await ask('PUT', path, card('other'));
  expect([status, text.includes('no-uid-conflict'), text.includes(path)]).toEqual([409, true, true]);
  expect((await ask('GET', path)).text).toContain('FN:Ada Lowther');
  expect((await ask('PUT', path, card('ada', 'NICKNAME:Della'))).status).toBe(204);
  // What the device has put itself stays its own, under whatever UID.
  expect((await ask('PUT', `${book()}z.vcf`, card('z'))).status).toBe(201);
  expect((await ask('PUT', `${book()}z.vcf`, card('z', 'NICKNAME:Z'))).status).toBe(204);
});

test('RFC 6352 §6.3.2.1: a card with a line that is none, without an end, or of an unknown version is refused', async () => {
  const put = (body: string) => ask('PUT', `${book()}n.vcf`, body);
  const broken = await put(card('n', 'this is no property'));
  expect([broken.status, broken.text.includes('valid-address-data')]).toEqual([403, true]);
  const version = await put(card('n').replace('3.0', '5.0'));
  expect([version.status, version.text.includes('supported-address-data')]).toEqual([415, true]);
  expect((await put(card('n').replace('END:VCARD', ''))).status).toBe(403);
  expect((await ask('GET', `${book()}n.vcf`)).status).toBe(404);
});

test('RFC 9110 §12.5.1, §12.5.5: the version that is wanted most is served, and the answer says that it depends on that', async () => {
  const path = await where();
  const get = async (accept: string) => {
    const { status, headers, text } = await ask('GET', path, undefined, { Accept: accept });
    return [status, headers.get('vary'), /VERSION:(.*)/.exec(text)?.[1]?.trim()];
  };
  for (const [accept, version] of [
    ['*/*', '3.0'],
    ['text/vcard', '3.0'],
    ['text/vcard;version=4.0', '4.0'],
    ['text/vcard; version="4.0"', '4.0'],
    ['text/vcard;version=4.0;q=0.5, text/vcard;version=3.0', '3.0'],
    ['text/vcard;version=3.0;q=0.5, text/vcard;version=4.0;q=0.9', '4.0'],
    ['text/html, text/vcard;version=4.0;q=0.1', '4.0'],
  ] as const)
    expect([accept, ...(await get(accept))]).toEqual([
      accept,
      200,
      expect.stringMatching(/\bAccept\b/),
      version,
    ]);
  expect((await get('text/html'))[0]).toBe(406);
  expect((await get('text/vcard;q=0'))[0]).toBe(406);
});

test('RFC 9110 §13.1.1, §13.1.2: weak tags are the same for reading only', async () => {
  const path = await where();
  const tag = await tagOf(path);
  expect((await ask('GET', path, undefined, { 'If-None-Match': `W/${tag}` })).status).toBe(304);
  expect((await ask('GET', path, undefined, { 'If-None-Match': `"x", ${tag}` })).status).toBe(304);
  expect((await ask('PUT', path, card('ada'), { 'If-Match': `W/${tag}` })).status).toBe(412);
  expect((await ask('PUT', path, card('ada'), { 'If-None-Match': '*' })).status).toBe(412);
  expect((await ask('PUT', path, card('ada'), { 'If-Match': `"x", ${tag}` })).status).toBe(204);
});

test('RFC 9110 §11.1: the scheme of a signature in any case', async () => {
  const who = btoa(`${phone.user}:${phone.password}`);
  for (const scheme of ['basic', 'BASIC', 'Basic '])
    expect((await ask('OPTIONS', book(), undefined, { Authorization: `${scheme} ${who}` })).status).toBe(200);
});

/** A request as it is written, since clients put paths right before they send them. */
function raw(path: string): Promise<number> {
  const { hostname, port } = new URL(base);
  return new Promise((resolve, reject) => {
    const socket = connect(Number(port), hostname, () => {
      const who = btoa(`${phone.user}:${phone.password}`);
      socket.write(
        `GET ${path} HTTP/1.1\r\nHost: ${hostname}\r\nAuthorization: Basic ${who}\r\nConnection: close\r\n\r\n`,
      );
    });
    socket.once('error', reject);
    socket.once('data', (data) => {
      socket.destroy();
      resolve(Number(/^HTTP\/1\.1 (\d+)/.exec(data.toString())?.[1]));
    });
  });
}

test('RFC 3986 §2.1: paths with wrong escapes or control characters are no addresses; an escaped slash is part of a name', async () => {
  for (const end of ['%', '%zz', '%00.vcf', 'a%0d%0ab.vcf', '%ff.vcf'])
    expect([end, await raw(book() + end)]).toEqual([end, 400]);
  for (const end of ['..%2f..%2fother.vcf', 'none.vcf', '%2e%2e/'])
    expect([end, await raw(book() + end)]).toEqual([end, 404]);
  expect((await ask('PUT', `${book()}a%2Fb.vcf`, card('slash'))).status).toBe(201);
  expect((await ask('GET', `${book()}a%2Fb.vcf`)).status).toBe(200);
});
