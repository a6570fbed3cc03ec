/** @jest-environment node */
// RFC 6352 §8.6 and §10.5: which cards a filter finds, whether or not anything has been made ready of them.
import fc from 'fast-check';

import { readXml, type XmlElement } from '@/core/base';
import { type Card, newCard } from '@/core/card';
import { findCard, hrefFor, inTransaction, putCard } from '@/hub/store';
import { addDevice, type Credentials, listDevices, makeShown, servedCard, uidsThatMay } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub } from '@/hub/testing';

import { matchesFilter, readFilter, wordsOf } from './queryFilter';

let hub: TestHub;
let phone: Credentials;
beforeEach(async () => {
  hub = await startTestHub();
  phone = await addDevice(hub.db, { name: 'Phone', direction: 'both', notes: false }, TEST_NOW);
});
afterEach(() => hub.stop());

const put = (card: Card) =>
  inTransaction(hub.db, (store) =>
    putCard(store, card.uid, card, { at: TEST_NOW, device: null, says: 'put' }),
  );
async function ready(): Promise<void> {
  for (const device of await listDevices(hub.db)) await makeShown(hub.db, device, () => false);
}

const HEAD = 'xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"';
async function ask(filter: string): Promise<string[]> {
  const response = await fetch(`${hub.base}/dav/books/${phone.user}/cards/`, {
    method: 'REPORT',
    headers: { Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`, Depth: '1' },
    body: `<c:addressbook-query ${HEAD}><d:prop><c:address-data/></d:prop>${filter}</c:addressbook-query>`,
  });
  expect(response.status).toBe(207);
  return [...(await response.text()).matchAll(/^FN:(.*?)(?:&#13;)?$/gm)]
    .map(([, name]) => name?.trim() ?? '')
    .sort();
}
const filterFor = (name: string, match: string, attributes = '') =>
  `<c:filter><c:prop-filter name="${name}"><c:text-match ${attributes}>${match}</c:text-match></c:prop-filter></c:filter>`;

const PEOPLE: readonly Card[] = [
  {
    ...newCard('ada', TEST_NOW),
    name: { full: 'Ada 100% Lowther' },
    emails: { e1: { address: 'ada_l@example.org' } },
  },
  {
    ...newCard('jose', TEST_NOW),
    name: { full: 'José Straße' },
    phones: { p1: { number: '+44 20 7946 0123' } },
  },
  { ...newCard('bo', TEST_NOW), name: { full: 'Bo Ek' }, notes: { n1: { note: 'owes Ada a book' } } },
];

test.each([false, true])(
  'names, signs and marks are found, notes that don’t go along aren’t; ready: %s',
  async (isReady) => {
    for (const card of PEOPLE) await put(card);
    if (isReady) await ready();
    expect(await ask(filterFor('FN', 'ada'))).toEqual(['Ada 100% Lowther']);
    expect(await ask(filterFor('FN', '100%'))).toEqual(['Ada 100% Lowther']);
    expect(await ask(filterFor('FN', '%'))).toEqual(['Ada 100% Lowther']);
    expect(await ask(filterFor('EMAIL', 'A_L@'))).toEqual(['Ada 100% Lowther']);
    expect(await ask(filterFor('EMAIL', 'adaxl'))).toEqual([]);
    expect(await ask(filterFor('FN', 'JOSE STRASSE'))).toEqual(['José Straße']);
    expect(await ask(filterFor('FN', 'jos', 'match-type="starts-with"'))).toEqual(['José Straße']);
    expect(await ask(filterFor('NOTE', 'book'))).toEqual([]);
    expect(await ask(filterFor('FN', 'ada', 'negate-condition="yes"'))).toEqual(['Bo Ek', 'José Straße']);
    expect(
      await ask('<c:filter><c:prop-filter name="TEL"><c:is-not-defined/></c:prop-filter></c:filter>'),
    ).toEqual(['Ada 100% Lowther', 'Bo Ek']);
    expect(await ask('<c:filter/>')).toHaveLength(3);
  },
);

test('a query made ready doesn’t find what a card said before, and finds what it says now', async () => {
  for (const card of PEOPLE) await put(card);
  await ready();
  await put({ ...newCard('bo', TEST_NOW), name: { full: 'Bo Lowther' } });
  expect(await ask(filterFor('FN', 'Lowther'))).toEqual(['Ada 100% Lowther', 'Bo Lowther']);
  expect(await ask(filterFor('FN', 'Ek'))).toEqual([]);
});

test('the length that is told is that of what GET answers, whichever version else is asked for', async () => {
  await put(PEOPLE[0] ?? newCard('ada', TEST_NOW));
  const headers = { Authorization: `Basic ${btoa(`${phone.user}:${phone.password}`)}`, Depth: '1' };
  const path = `/dav/books/${phone.user}/cards/`;
  const href = `${path}${hrefFor('ada')}`;
  const plain = await (await fetch(hub.base + href, { headers })).text();
  for (const version of ['3.0', '4.0']) {
    const body = `<c:addressbook-multiget ${HEAD}><d:prop><d:getcontentlength/><c:address-data content-type="text/vcard" version="${version}"/></d:prop><d:href>${href}</d:href></c:addressbook-multiget>`;
    const text = await (await fetch(hub.base + path, { method: 'REPORT', headers, body })).text();
    expect(text).toContain(`VERSION:${version}`);
    expect(/getcontentlength>(\d+)</.exec(text)?.[1]).toBe(String(Buffer.byteLength(plain)));
  }
});

const word = fc.constantFrom('ada', 'Lo', 'é', '', '100%', '_', 'ß', '7946', 'home', 'zzz', '\u0301');
const match = fc
  .record({
    word,
    kind: fc.constantFrom('contains', 'equals', 'starts-with', 'ends-with'),
    collation: fc.constantFrom('', 'i;ascii-casemap', 'i;unicode-casemap'),
    isNegated: fc.boolean(),
  })
  .map(
    (one) =>
      `<c:text-match match-type="${one.kind}" collation="${one.collation}" negate-condition="${one.isNegated ? 'yes' : 'no'}">${one.word}</c:text-match>`,
  );
const part = fc.oneof(
  match,
  fc.constant('<c:is-not-defined/>'),
  match.map((one) => `<c:param-filter name="TYPE">${one}</c:param-filter>`),
);
const propFilter = fc
  .tuple(
    fc.constantFrom('FN', 'EMAIL', 'TEL', 'NOTE', 'PHOTO'),
    fc.constantFrom('anyof', 'allof'),
    fc.array(part, { maxLength: 3 }),
  )
  .map(
    ([name, test, parts]) => `<c:prop-filter name="${name}" test="${test}">${parts.join('')}</c:prop-filter>`,
  );
const filter = fc
  .tuple(fc.constantFrom('anyof', 'allof'), fc.array(propFilter, { maxLength: 3 }))
  .map(([test, props]) => `<c:filter ${HEAD} test="${test}">${props.join('')}</c:filter>`);

test('no card that a filter finds is left out by the words looked for first (law)', async () => {
  for (const card of PEOPLE) await put(card);
  await ready();
  const [device] = await listDevices(hub.db);
  if (!device) throw new Error('it was added');
  let leftOut = 0;
  await fc.assert(
    fc.asyncProperty(filter, async (xml) => {
      const read = readFilter(readXml(xml) as XmlElement);
      const may = new Set(await uidsThatMay({ db: hub.db, device }, wordsOf(read)));
      leftOut += PEOPLE.length - may.size;
      for (const { uid } of PEOPLE) {
        const card = await findCard(hub.db, uid);
        if (card && matchesFilter(servedCard(card, device), read))
          expect([xml, may.has(uid)]).toEqual([xml, true]);
      }
    }),
    { numRuns: 300 },
  );
  expect(leftOut).toBeGreaterThan(10);
});
