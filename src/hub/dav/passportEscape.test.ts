/** @jest-environment node */
// What a passport doesn't let through can't be had by naming it, over HTTP.
import { type Card, shownAs } from '@/core/card';
import { allCards, findCard, type HubDb, putCard } from '@/hub/store';
import { addDevice, changePassport, type Credentials, type Passport } from '@/hub/sync';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';

let hub: TestHub;
let db: HubDb;
let count = 0;

beforeEach(async () => {
  hub = await startTestHub();
  ({ db } = hub);
});
afterEach(() => hub.stop());

// Nothing of it may stand in a hash or an identifier by chance.
const SECRET = 'The key of the safe is under the organ';
const HIDDEN = testPerson('urn:uuid:00000000-0000-4000-8000-00000000000a', 'Hanna Hidden', {
  phones: { p1: { number: '+442079460999' } },
  notes: { n1: { note: SECRET } },
});
const SHOWN = testPerson('urn:uuid:00000000-0000-4000-8000-00000000000b', 'Sanna Shown', {
  keywords: { choir: true },
});
const HIDDEN_HREF = '00000000-0000-4000-8000-00000000000a.vcf';

const put = async (...cards: Card[]) => {
  for (const card of cards) await putCard(db, card.uid, card, { at: TEST_NOW, device: null, says: 'put' });
};
const device = (some: Partial<Passport> = {}) =>
  addDevice(db, { name: `Phone ${(count += 1)}`, direction: 'both', ...some }, TEST_NOW);

async function ask(who: Credentials, method: string, path: string, body?: string) {
  const response = await fetch(`${hub.base}/dav/books/${who.user}/cards/${path}`, {
    method,
    ...(body === undefined ? {} : { body }),
    headers: {
      Authorization: `Basic ${btoa(`${who.user}:${who.password}`)}`,
      'Content-Type': method === 'PUT' ? 'text/vcard; charset=utf-8' : 'application/xml',
      Depth: method === 'REPORT' ? '0' : '1',
    },
  });
  return { status: response.status, text: await response.text() };
}

const REPORT =
  '<d:sync-collection xmlns:d="DAV:" xmlns:c="urn:ietf:params:xml:ns:carddav"><d:sync-token/><d:sync-level>1</d:sync-level><d:prop><d:getetag/><c:address-data/></d:prop></d:sync-collection>';
/** All that a device gets with a first sync, as text. */
const all = async (who: Credentials) => (await ask(who, 'REPORT', '', REPORT)).text;
const vcard = (uid: string, name: string, more = '') =>
  `BEGIN:VCARD\r\nVERSION:4.0\r\nUID:${uid}\r\nFN:${name}\r\n${more}END:VCARD\r\n`;

const passports: readonly (readonly [string, Partial<Passport>])[] = [
  ['a tag', { tag: 'choir' }],
  ['what is kept there', { own: true }],
  ['a list', { lists: ['list'] }],
];
for (const [name, passport] of passports)
  for (const href of ['new.vcf', HIDDEN_HREF])
    test(`a passport for ${name}: a card put with a hidden card’s UID at ${href} is one of its own`, async () => {
      await put(HIDDEN, SHOWN, {
        ...testPerson('list', 'Choir'),
        kind: 'group',
        members: { [SHOWN.uid]: true },
      });
      const phone = await device(passport);
      const done = await ask(phone, 'PUT', href, vcard(HIDDEN.uid, 'Hanna', 'CATEGORIES:choir\r\n'));
      expect(done.status).toBe(201);
      const text = await all(phone);
      expect(text).toContain('FN:Hanna');
      expect(text).not.toMatch(/under the organ|442079460999|Hanna Hidden/);
      expect((await ask(phone, 'GET', href)).text).not.toMatch(/under the organ|442079460999|Hanna Hidden/);
      // The book keeps the hidden card as it was, and has the other beside it.
      expect(await findCard(db, HIDDEN.uid)).toEqual(HIDDEN);
      expect((await allCards(db)).filter((card) => shownAs(card).startsWith('Hanna'))).toHaveLength(2);
      // It is changed and deleted as its own.
      expect(
        (await ask(phone, 'PUT', href, vcard(HIDDEN.uid, 'Hanna New', 'CATEGORIES:choir\r\n'))).status,
      ).toBe(204);
      expect((await ask(phone, 'DELETE', href)).status).toBe(204);
      expect(await findCard(db, HIDDEN.uid)).toEqual(HIDDEN);
      expect((await ask(phone, 'GET', href)).status).toBe(404);
    });

test('a hidden card that comes to be let through gets an address that is free', async () => {
  await put(HIDDEN);
  const phone = await device({ tag: 'choir' });
  await ask(phone, 'PUT', HIDDEN_HREF, vcard(HIDDEN.uid, 'Hanna', 'CATEGORIES:choir\r\n'));
  await all(phone);
  await put({ ...HIDDEN, keywords: { choir: true } });
  const hrefs = [...(await all(phone)).matchAll(/<d:href>([^<]*\.vcf)</g)].map((match) => match[1]);
  expect(new Set(hrefs).size).toBe(2);
  expect((await ask(phone, 'GET', HIDDEN_HREF)).text).toContain('FN:Hanna\r\n');
});

test('a list tells nothing of members that the passport doesn’t let through', async () => {
  const list: Card = {
    ...testPerson('list', 'Choir'),
    kind: 'group',
    members: { [SHOWN.uid]: true, [HIDDEN.uid]: true },
  };
  await put({ ...HIDDEN, 'cordialis.example:private': true }, SHOWN, list);
  const phone = await device({ groups: true });
  const text = await all(phone);
  expect(text).toContain('Choir');
  expect(text).toContain('00000000000b');
  expect(text).not.toContain('00000000000a');
  // Sent back as it was served, nobody is taken off.
  const href = /<d:href>[^<]*\/([^</]*\.vcf)<(?:(?!<d:href>)[\s\S])*Choir/.exec(text)?.[1] ?? '';
  const own = (await ask(phone, 'GET', href)).text.replace('FN:Choir', 'FN:Chorus');
  expect((await ask(phone, 'PUT', href, own)).status).toBe(204);
  const after = await findCard(db, 'list');
  expect([after && shownAs(after), after?.members]).toEqual(['Chorus', list.members]);
});

test('from a device to here only: it gets what it has put itself, as it put it', async () => {
  await put(HIDDEN, SHOWN);
  const phone = await device({ direction: 'in' });
  expect(await all(phone)).not.toMatch(/Hanna|Sanna/);
  expect((await ask(phone, 'GET', HIDDEN_HREF)).status).toBe(404);
  expect((await ask(phone, 'PUT', 'own.vcf', vcard('own', 'Olga Own'))).status).toBe(201);
  const own = await findCard(db, 'own');
  await put({ ...(own ?? HIDDEN), notes: { n1: { note: SECRET } } });
  const text = await all(phone);
  expect(text).toContain('Olga Own');
  expect(text).not.toMatch(/Hanna|Sanna|under the organ/);
  // What it changes arrives; what was written here stays.
  expect((await ask(phone, 'PUT', 'own.vcf', vcard('own', 'Olga Newer'))).status).toBe(204);
  const after = await findCard(db, 'own');
  expect([after && shownAs(after), after?.notes?.['n1']?.note]).toEqual(['Olga Newer', SECRET]);
});

test('a passport whose last list is taken off lets nothing through, not everything', async () => {
  await put(HIDDEN, SHOWN, { ...testPerson('list', 'Choir'), kind: 'group', members: { [SHOWN.uid]: true } });
  const phone = await device({ lists: ['list'], groups: true });
  expect(await all(phone)).toContain('Sanna');
  await changePassport(db, `Phone ${count}`, { lists: [] });
  expect(await all(phone)).not.toMatch(/Hanna|Sanna|Choir/);
  // Nor is anything taken, which would be gone from the device at once.
  expect((await ask(phone, 'PUT', 'new.vcf', vcard('new', 'Nora New'))).status).toBe(403);
  expect(await findCard(db, 'new')).toBeUndefined();
});
