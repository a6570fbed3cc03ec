/** @jest-environment node */
import { makeHubClient } from '@/book/clients/hubClient';
import { changeBook, readAllTalks, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { selectCardsByUid, selectHub } from '@/book/state';
import { dropRefused, pairWithHub, unpairFromHub } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { gone, MemoryStorage, openTestBook, put } from '@/book/testing';
import type { Card } from '@/core/card';
import { devicesApi, exchangeApi, pairApi } from '@/hub/api';
import { allCards, findCard, type HubDb } from '@/hub/store';
import { addDevice, makeCode } from '@/hub/sync';
import type { Credentials } from '@/hub/sync/passports/passports';
import { startTestHub, TEST_NOW, type TestHub, testPerson } from '@/hub/testing';
import { HubFault, type HubQuestion } from '@/platform';

import { askOver } from './askOver';

const NOW = TEST_NOW;
let hub: TestHub;
let db: HubDb;
let base = '';
/** While it is on, nobody reaches the hub; 'answers' lets questions through and loses what comes back. */
let outage: 'none' | 'all' | 'answers' = 'none';

beforeEach(async () => {
  outage = 'none';
  hub = await startTestHub((app, store) => {
    app.use('/api/pair', pairApi(store, false));
    app.use('/api/exchange', exchangeApi(store, 'GB'));
    app.use('/api/devices', devicesApi(store, 'GB'));
  });
  ({ db, base } = hub);
});
afterEach(() => hub.stop());

async function ask(question: HubQuestion): Promise<unknown> {
  if (outage === 'all') throw new HubFault('the hub can’t be reached', 0);
  const answer = askOver(base, question);
  if (outage !== 'answers') return answer;
  await answer.catch(() => undefined);
  throw new HubFault('the hub can’t be reached', 0);
}

const ADA = testPerson('ada', 'Ada Lowther', {
  emails: { e1: { address: 'ada@example.org' } },
  phones: { p1: { number: '+442079460123' } },
  'cordialis.example:opener': 'The new organ?',
});
const BO = testPerson('bo', 'Bo Ek', { emails: { e1: { address: 'bo@example.org' } } });

/** A browser with a book of its own, paired. */
async function openBrowser(name: string, cards: readonly Card[] = []) {
  const storage = new MemoryStorage();
  const hub = makeHubClient(ask, () => () => undefined);
  const book = openTestBook(storage, cards, { hub });
  await book.store.dispatch(openBook());
  await book.store.dispatch(pairWithHub(await makeCode(db, Date.now()), name));
  await book.store.dispatch(exchange(name));
  return {
    ...book,
    exchange: () => book.store.dispatch(exchange(name)),
    card: (uid: string) => selectCardsByUid(book.store.getState()).get(uid),
    edit: (card: Card) =>
      book.store.dispatch(changeBook({ cause: 'edit', label: 'Edited', edits: put(card) })),
    remove: (uid: string) =>
      book.store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone(uid) })),
    hub: () => selectHub(book.store.getState()),
  };
}
const withMail = (card: Card, address: string): Card => ({ ...card, emails: { e1: { address } } });
const mailOf = (card: Card | undefined) => Object.values(card?.emails ?? {}).map(({ address }) => address);

/** What a device does over CardDAV. */
async function putAs({ user, password }: Credentials, href: string, text: string): Promise<number> {
  const { status } = await fetch(`${base}/dav/books/${user}/cards/${href}`, {
    method: 'PUT',
    headers: {
      Authorization: `Basic ${Buffer.from(`${user}:${password}`).toString('base64')}`,
      'Content-Type': 'text/vcard',
    },
    body: text,
  });
  return status;
}
const vcard = (...lines: string[]) => ['BEGIN:VCARD', 'VERSION:3.0', ...lines, 'END:VCARD', ''].join('\r\n');

test('what one browser has comes to the other, and what each changes comes to both', async () => {
  const one = await openBrowser('One', [ADA, BO]);
  const two = await openBrowser('Two');
  expect(two.card('ada')).toMatchObject({ 'cordialis.example:opener': 'The new organ?' });
  await two.edit(withMail(two.card('bo') ?? BO, 'bo@new.example'));
  await two.remove('ada');
  await two.exchange();
  await one.exchange();
  expect(one.card('ada')).toBeUndefined();
  expect(mailOf(one.card('bo'))).toEqual(['bo@new.example']);
  expect(one.hub()).toMatchObject({ waiting: 0, fault: '' });
});

test('private cards and private values never reach the hub, and stay where they are', async () => {
  const secret = testPerson('secret', 'Cara Quiet', { 'cordialis.example:private': true });
  const phones = {
    p1: { number: '+442079460123' },
    p2: { number: '+44700', 'cordialis.example:private': true },
  };
  const one = await openBrowser('One', [{ ...ADA, phones }, secret]);
  expect(JSON.stringify(await allCards(db))).not.toMatch(/Quiet|\+44700/);
  const two = await openBrowser('Two');
  await two.edit(withMail(two.card('ada') ?? ADA, 'ada@new.example'));
  await two.exchange();
  await one.exchange();
  expect(one.card('ada')).toMatchObject({ phones, emails: { e1: { address: 'ada@new.example' } } });
  expect(one.card('secret')).toMatchObject({ 'cordialis.example:private': true });
  // A card that becomes private goes from everywhere but here.
  await one.edit({ ...(one.card('ada') ?? ADA), 'cordialis.example:private': true });
  await one.exchange();
  await two.exchange();
  expect(await findCard(db, 'ada')).toBeUndefined();
  expect(two.card('ada')).toBeUndefined();
  expect(one.card('ada')).toBeDefined();
});

test('changes wait while the hub is away, outlive a restart, and are sent when it is back', async () => {
  const one = await openBrowser('One', [ADA]);
  outage = 'all';
  await one.edit(withMail(ADA, 'ada@later.example'));
  await one.exchange();
  expect(one.hub()).toMatchObject({ waiting: 1, fault: 'the hub can’t be reached' });
  await one.writer.flush();
  const again = openTestBook(one.storage, undefined, { hub: one.services.hub });
  await again.store.dispatch(openBook());
  outage = 'none';
  await again.store.dispatch(exchange('One'));
  expect(mailOf(await findCard(db, 'ada'))).toEqual(['ada@later.example']);
  expect(again.writer.queued().size).toBe(0);
  expect([...one.storage.entries.keys()].filter((key) => key.startsWith('queue:'))).toEqual([]);
});

test('an answer that was lost is no second change and nothing to settle', async () => {
  const one = await openBrowser('One', [ADA]);
  await one.edit(withMail(ADA, 'first@example.org'));
  outage = 'answers';
  await one.exchange();
  outage = 'none';
  await one.edit(withMail(one.card('ada') ?? ADA, 'second@example.org'));
  await one.exchange();
  expect(mailOf(await findCard(db, 'ada'))).toEqual(['second@example.org']);
  expect(mailOf(one.card('ada'))).toEqual(['second@example.org']);
  expect(one.hub()).toMatchObject({ toSettle: 0, waiting: 0 });
});

test('different values changed on both sides are both kept; the same one is to settle', async () => {
  const one = await openBrowser('One', [ADA]);
  const two = await openBrowser('Two');
  await one.edit(withMail(ADA, 'one@example.org'));
  await two.edit({ ...withMail(two.card('ada') ?? ADA, 'two@example.org'), keywords: { choir: true } });
  await one.exchange();
  await two.exchange();
  await one.exchange();
  for (const card of [one.card('ada'), two.card('ada')])
    expect(card).toMatchObject({ emails: { e1: { address: 'one@example.org' } }, keywords: { choir: true } });
  const token = two.hub().pairing?.token ?? '';
  const values = await two.services.hub.toSettle(token);
  expect(values).toMatchObject([
    {
      ...{ uid: 'ada', path: 'emails/e1/address' },
      ...{ mine: 'one@example.org', mineBy: 'One', theirs: 'two@example.org', theirsBy: 'Two' },
    },
  ]);
  await two.services.hub.settled(token, values[0]?.id ?? 0);
  expect(await two.services.hub.toSettle(token)).toEqual([]);
});

test('an edit beats a deletion on the other side, either way round', async () => {
  const one = await openBrowser('One', [ADA, BO]);
  const two = await openBrowser('Two');
  await one.remove('ada');
  await two.edit(withMail(two.card('ada') ?? ADA, 'still@example.org'));
  await one.edit(withMail(BO, 'here@example.org'));
  await two.remove('bo');
  await one.exchange();
  await two.exchange();
  await one.exchange();
  for (const { card } of [one, two]) {
    expect(mailOf(card('ada'))).toEqual(['still@example.org']);
    expect(mailOf(card('bo'))).toEqual(['here@example.org']);
  }
});

test('what a device changes comes as a step that says so and can be taken back, on the device too', async () => {
  const one = await openBrowser('One', [ADA]);
  const phone = await addDevice(db, { name: 'Phone', direction: 'both' }, NOW);
  expect(
    await putAs(phone, 'new.vcf', vcard('UID:eve', 'N:Brook;Eve;;;', 'FN:Eve Brook', 'TEL:020 7946 0999')),
  ).toBe(201);
  await one.exchange();
  const [step] = one.store.getState().history.steps.slice(-1);
  expect(step).toMatchObject({ cause: 'sync', label: 'Phone: added Eve Brook' });
  expect(one.card('eve')).toBeDefined();
  one.store.dispatch(undo(step?.id));
  await one.exchange();
  expect(await findCard(db, 'eve')).toBeUndefined();
});

test('who is on a rule list is told to the hub, and a device with that list sees them and nobody else', async () => {
  const list = {
    ...testPerson('list', 'Choir'),
    kind: 'group' as const,
    'cordialis.example:rule': { any: [] },
  };
  const one = await openBrowser('One', [ADA, BO, list]);
  Object.assign(one.services.search, { onList: () => Promise.resolve(['bo']) });
  await addDevice(db, { name: 'Phone', direction: 'both', lists: ['list'] }, NOW);
  await one.exchange();
  const token = one.hub().pairing?.token ?? '';
  const { devices, browsers } = await one.services.hub.devices(token);
  expect(devices).toMatchObject([{ name: 'Phone', cards: 1, lists: ['list'] }]);
  expect(browsers).toMatchObject([{ name: 'One', isThis: true }]);
});

test('a code is good once; a browser that is let go is told so and keeps its cards', async () => {
  const code = await makeCode(db, Date.now());
  const one = await openBrowser('One', [ADA]);
  await ask({ method: 'POST', path: '/pair', body: { code, name: 'Other' } });
  await expect(ask({ method: 'POST', path: '/pair', body: { code, name: 'Third' } })).rejects.toMatchObject({
    status: 403,
  });
  await expect(ask({ path: '/exchange/pull?since=0', token: 'x'.repeat(43) })).rejects.toMatchObject({
    status: 401,
  });
  const token = one.hub().pairing?.token ?? '';
  await ask({ method: 'DELETE', path: '/pair', token, body: { name: 'One' } });
  await one.exchange();
  expect(one.hub()).toMatchObject({ pairing: undefined, fault: 'this browser is no longer paired' });
  expect(one.card('ada')).toBeDefined();
  await one.store.dispatch(unpairFromHub());
});

test('a page of another origin, or under another name, gets no answer', async () => {
  const status = async (headers: Record<string, string>) =>
    (await fetch(`${base}/api/pair`, { method: 'POST', headers, body: '{}' })).status;
  expect(await status({ Origin: 'http://elsewhere.example' })).toBe(403);
  expect(await status({ Origin: base, 'Content-Type': 'application/json' })).toBe(400);
});

test('an exchange that is under way when it is ended in the browser doesn’t say otherwise afterwards', async () => {
  const one = await openBrowser('One', [ADA]);
  await one.edit(withMail(ADA, 'ada@new.example'));
  const running = one.exchange();
  await one.store.dispatch(unpairFromHub());
  await running;
  expect(one.hub()).toMatchObject({ pairing: undefined, fault: 'it was ended in this browser' });
});

test('what the hub refuses stays queued with its reason, is not sent again as it is, and goes once it is changed', async () => {
  const one = await openBrowser('One', [ADA]);
  let pushes = 0;
  const { hub } = one.services;
  Object.assign(one.services, {
    hub: {
      ...hub,
      push: (at: Parameters<typeof hub.push>[0], push: Parameters<typeof hub.push>[1]) => {
        pushes += 1;
        const isBad = push.changes.some(({ card }) => JSON.stringify(card).includes('bad'));
        return isBad ? Promise.resolve({ [ADA.uid]: 'the card is too large' }) : hub.push(at, push);
      },
    },
  });
  await one.edit(withMail(ADA, 'bad@example.org'));
  await one.writer.flush();
  await one.exchange();
  expect(one.hub().fault).toContain('the card is too large');
  expect(one.storage.entries.get(`queue:${ADA.uid}`)).toBe('1');
  await one.exchange();
  expect(pushes).toBe(1);
  expect(one.hub().fault).toContain('the card is too large');
  expect(one.hub().refused).toEqual({ [ADA.uid]: 'the card is too large' });
  await one.store.dispatch(dropRefused(ADA.uid));
  expect([one.hub().fault, one.hub().refused, one.storage.entries.has(`queue:${ADA.uid}`)]).toEqual([
    '',
    {},
    false,
  ]);
  await one.edit(withMail(ADA, 'good@example.org'));
  await one.exchange();
  expect([pushes, one.hub().fault]).toEqual([2, '']);
  expect(mailOf(await findCard(db, ADA.uid))).toEqual(['good@example.org']);
});

test('a card from the hub that can’t be read here is set aside and named, and comes once it can be', async () => {
  const one = await openBrowser('One', []);
  const { hub } = one.services;
  const broken = { ...ADA, emails: 'a text where entries are' };
  let isBroken = true;
  Object.assign(one.services, {
    hub: {
      ...hub,
      pull: async (...asked: Parameters<typeof hub.pull>) => {
        const page = await hub.pull(...asked);
        if (!isBroken) return page;
        isBroken = false;
        return { ...page, cards: [{ uid: ADA.uid, card: broken, by: null }] };
      },
    },
  });
  await one.exchange();
  await one.writer.flush();
  const key = `aside:hub:${ADA.uid}`;
  expect(JSON.parse(one.storage.entries.get(key) ?? '')).toEqual(broken);
  expect(one.store.getState().status.setAside.join()).toContain(ADA.uid);
  // A newer version reads what this one could not.
  one.storage.entries.set(key, JSON.stringify(ADA));
  await one.exchange();
  await one.writer.flush();
  expect(one.store.getState().cards.byUid.get(ADA.uid)?.name).toEqual(ADA.name);
  expect(one.storage.entries.has(key)).toBe(false);
});

test('a browser that joins tells nobody off a list whose rule asks for talks before it has them', async () => {
  const list: Card = {
    ...testPerson('list', 'Talked to lately'),
    kind: 'group',
    'cordialis.example:rule': { all: [] },
  };
  await addDevice(db, { name: 'Phone', direction: 'both', lists: ['list'] }, NOW);
  // As the rule would: whoever has been talked with.
  const openWithRule = async (name: string, cards: readonly Card[] = []) => {
    const client = makeHubClient(ask, () => () => undefined);
    const told: string[][] = [];
    const book = openTestBook(new MemoryStorage(), cards, {
      hub: { ...client, putMembers: (...asked) => (told.push([...asked[2]]), client.putMembers(...asked)) },
    });
    const { dispatch } = book.store;
    Object.assign(book.services.search, {
      onList: async () => (await dispatch(readAllTalks())).flatMap((talk) => talk.with),
    });
    await dispatch(openBook());
    return { dispatch, told };
  };
  const one = await openWithRule('One', [ADA, list]);
  const talk = {
    id: 't',
    kind: 'call',
    day: '2026-11-03',
    direction: 'out',
    with: ['ada'],
    said: 'Hello',
  } as const;
  await one.dispatch(
    changeBook({ cause: 'edit', label: 'Noted', talks: [{ after: { ...talk, with: ['ada'] } }] }),
  );
  await one.dispatch(pairWithHub(await makeCode(db, Date.now()), 'One'));
  await one.dispatch(exchange('One'));
  const two = await openWithRule('Two');
  await two.dispatch(pairWithHub(await makeCode(db, Date.now()), 'Two'));
  await two.dispatch(exchange('Two'));
  expect([one.told, two.told]).toEqual([[['ada']], [['ada']]]);
});
