/** @jest-environment node */
import { makeHubClient } from '@/book/clients/hubClient';
import { changeBook, changeSettings, readAllTalks, storeTalks, undo } from '@/book/commit';
import { removeImportedTalks } from '@/book/commit/importedTalks';
import { openBook } from '@/book/openBook';
import { selectHub, selectSetAside, selectSettings, selectSteps, selectSummaries } from '@/book/state';
import { dropRefusedTalk, pairWithHub } from '@/book/sync';
import { exchange } from '@/book/sync/exchange';
import { MemoryStorage, openTestBook, put } from '@/book/testing';
import type { Card } from '@/core/card';
import type { Talk } from '@/core/talks';
import { exchangeApi, pairApi } from '@/hub/api';
import { makeCode } from '@/hub/sync';
import { startTestHub, type TestHub, testPerson } from '@/hub/testing';
import { HubFault, type HubQuestion } from '@/platform';

import { askOver } from './askOver';

let hub: TestHub;
let isOff = false;
/** Changes what is asked on its way, or refuses it. */
let onItsWay: (question: HubQuestion) => HubQuestion = (question) => question;

beforeEach(async () => {
  isOff = false;
  onItsWay = (question) => question;
  hub = await startTestHub((app, store) => {
    app.use('/api/pair', pairApi(store, false));
    app.use('/api/exchange', exchangeApi(store, 'GB'));
  });
});
afterEach(() => hub.stop());

async function ask(question: HubQuestion): Promise<unknown> {
  if (isOff) throw new HubFault('the hub can’t be reached', 0);
  return askOver(hub.base, onItsWay(question));
}

const ADA = testPerson('ada', 'Ada Lowther');
const BO: Card = { ...testPerson('bo', 'Bo Ek'), 'cordialis.example:private': true };
const talk = (id: string, some: Partial<Talk> = {}): Talk => ({
  ...{ id, kind: 'call', day: '2026-11-03', direction: 'out', with: ['ada'], said: `said ${id}` },
  ...some,
});

async function openBrowser(name: string, cards: readonly Card[] = [], storage = new MemoryStorage()) {
  let count = 0;
  const newUid = () => `urn:uuid:${name}-${String((count += 1)).padStart(12, '0')}`;
  const book = openTestBook(storage, cards, { hub: makeHubClient(ask, () => () => undefined), newUid });
  await book.store.dispatch(openBook());
  const { dispatch, getState } = book.store;
  return {
    ...book,
    pair: async () => dispatch(pairWithHub(await makeCode(hub.db, Date.now()), name)),
    exchange: () => dispatch(exchange(name)),
    note: (...talks: { before?: Talk; after?: Talk }[]) =>
      dispatch(changeBook({ cause: 'edit', label: 'Noted', talks })),
    talks: async () =>
      (await dispatch(readAllTalks())).sort((a, b) => a.id.localeCompare(b.id)).map(({ said }) => said),
    whole: () => dispatch(readAllTalks()),
    summary: (uid: string) => selectSummaries(getState()).get(uid),
    settings: () => selectSettings(getState()),
    fault: () => selectHub(getState()).fault,
    refused: () =>
      selectHub(getState()).refusedTalks.map(({ id, day, reason }) => [id, day, reason] as const),
    keepHere: async () => {
      for (const one of selectHub(getState()).refusedTalks) await dispatch(dropRefusedTalk(one));
    },
  };
}

/** Two browsers that are paired and know the same cards. */
async function two() {
  const one = await openBrowser('one', [ADA, BO]);
  const other = await openBrowser('other');
  for (const browser of [one, other]) {
    await browser.pair();
    await browser.exchange();
  }
  return { one, other };
}

test('talks that were there before pairing come to the other browser, with what is known of them on each card', async () => {
  const one = await openBrowser('one', [ADA, BO]);
  await one.note({ after: talk('a') }, { after: talk('b', { day: '2026-10-09' }) });
  const other = await openBrowser('other');
  for (const browser of [one, other]) {
    await browser.pair();
    await browser.exchange();
  }
  expect(await other.talks()).toEqual(['said a', 'said b']);
  expect(other.summary('ada')).toEqual(one.summary('ada'));
  expect([one.fault(), other.fault()]).toEqual(['', '']);
});

test('a talk that is noted, changed, moved to another month or deleted comes over, and can be taken back there', async () => {
  const { one, other } = await two();
  await one.note({ after: talk('a') });
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a']);
  const moved = talk('a', { day: '2026-09-01', said: 'it was in September' });
  await other.note({ before: talk('a'), after: moved });
  await other.exchange();
  await one.exchange();
  expect(await one.whole()).toEqual([moved]);
  await one.note({ before: moved });
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual([]);
  expect(other.summary('ada')).toBeUndefined();
  await other.store.dispatch(undo(selectSteps(other.store.getState()).at(-1)?.id));
  await other.exchange();
  await one.exchange();
  expect(await one.talks()).toEqual(['it was in September']);
});

test('what both have said of a talk without knowing of each other is both kept; a deletion doesn’t win over a change', async () => {
  const { one, other } = await two();
  await one.note({ after: talk('a') }, { after: talk('b') });
  await one.exchange();
  await other.exchange();
  await one.note(
    { before: talk('a'), after: talk('a', { said: 'said a, and more' }) },
    { before: talk('b') },
  );
  await other.note(
    { before: talk('a'), after: talk('a', { said: 'another thing' }) },
    { before: talk('b'), after: talk('b', { said: 'b changed' }) },
  );
  for (const browser of [one, other, one, other]) await browser.exchange();
  for (const browser of [one, other])
    expect(await browser.talks()).toEqual(['said a, and more\n\nanother thing', 'b changed']);
});

test('talks that the hub doesn’t take are named with the reason, and stop no other; each is changed or kept here', async () => {
  const { one, other } = await two();
  const isPush = ({ method, path }: HubQuestion) =>
    method === 'POST' && path.startsWith('/exchange/records?');
  onItsWay = (question) => {
    if (!isPush(question)) return question;
    const text = JSON.stringify(question.body);
    if (text.includes('said huge')) throw new HubFault('request entity too large', 413);
    return { ...question, body: JSON.parse(text.replace('"said":"said odd"', '"said":1')) as unknown };
  };
  await one.note(...['a', 'odd', 'b', 'huge', 'c'].map((id) => ({ after: talk(id) })));
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a', 'said b', 'said c']);
  expect(one.refused()).toEqual([
    ['odd', '2026-11-03', expect.stringContaining('said') as string],
    ['huge', '2026-11-03', 'request entity too large'],
  ]);
  // They wait for a change, and hold nothing up.
  await one.note({ after: talk('d') });
  await one.exchange();
  expect(one.refused()).toHaveLength(2);
  await one.note({ before: talk('odd'), after: talk('odd', { said: 'even' }) });
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a', 'said b', 'said c', 'said d', 'even']);
  await one.keepHere();
  expect([one.refused(), one.fault(), (await one.whole()).length]).toEqual([[], '', 6]);
});

test('a talk from the hub that can’t be read here takes nothing away, and waits until it can', async () => {
  const { one, other } = await two();
  await one.note({ after: talk('a') });
  await one.exchange();
  await other.exchange();
  await one.note({ before: talk('a'), after: talk('a', { said: 'more' }) });
  await one.exchange();
  const { value } = await hub.db.selectFrom('records').selectAll().executeTakeFirstOrThrow();
  await hub.db.updateTable('records').set({ value: '{"id":"a","kind":"seance"}' }).execute();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a']);
  expect(selectSetAside(other.store.getState()).join()).toContain('a');
  expect(other.fault()).toBe('');
  expect(JSON.parse(value ?? '')).toMatchObject({ said: 'more' });
});

test('what is noted while the hub is off is told once it is back, after a restart as well', async () => {
  const storage = new MemoryStorage();
  const one = await openBrowser('one', [ADA], storage);
  await one.pair();
  await one.exchange();
  isOff = true;
  await one.note({ after: talk('a') });
  await one.exchange();
  expect(one.fault()).toContain('can’t be reached');
  await one.writer.flush();
  isOff = false;
  const again = await openBrowser('one', [], storage);
  await again.exchange();
  const other = await openBrowser('other');
  await other.pair();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a']);
});

test('talks with nobody but people whose cards are private stay; of the others those people are left out', async () => {
  const { one, other } = await two();
  await one.note(
    { after: talk('a', { with: ['bo'] }) },
    { after: talk('b', { with: ['ada', 'bo'], said: 'with both' }) },
  );
  await one.exchange();
  await other.exchange();
  expect(await other.whole()).toEqual([talk('b', { said: 'with both' })]);
  // What comes back doesn't take the private one off here.
  await other.note({ before: talk('b', { said: 'with both' }), after: talk('b', { said: 'more' }) });
  await other.exchange();
  await one.exchange();
  expect((await one.whole()).find(({ id }) => id === 'b')?.with).toEqual(['ada', 'bo']);
  // A card that becomes private takes its talks along.
  await one.store.dispatch(
    changeBook({
      cause: 'edit',
      label: 'private',
      edits: put({ ...ADA, 'cordialis.example:private': true }),
    }),
  );
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual([]);
  expect(await one.talks()).toEqual(['said a', 'more']);
});

test('an import of talks comes over and goes again as a whole, and files of talks come with their bytes', async () => {
  const { one, other } = await two();
  const uri = `data:text/plain;base64,${'QUJD'.repeat(100)}`;
  await one.services.photos.put({ f1: uri });
  await one.note({ after: talk('a', { files: [{ name: 'plan.txt', blobId: 'f1' }] }) });
  await one.store.dispatch(
    storeTalks('2026-11', [talk('m1', { intake: 'mail1' }), talk('m2', { intake: 'mail1' })]),
  );
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a', 'said m1', 'said m2']);
  const [file] = (await other.whole()).find(({ id }) => id === 'a')?.files ?? [];
  expect(file?.name).toBe('plan.txt');
  expect(await other.services.photos.get(file?.blobId ?? '')).toBe(uri);
  await one.store.dispatch(removeImportedTalks('mail1'));
  await one.exchange();
  await other.exchange();
  expect(await other.talks()).toEqual(['said a']);
});

test('settings of the book come over, those of the device stay; a newcomer takes the book’s', async () => {
  const { one, other } = await two();
  one.store.dispatch(changeSettings({ sortBy: 'given', scheme: 'dark', typeScale: 1.2 }));
  await one.exchange();
  await other.exchange();
  expect(other.settings()).toMatchObject({ sortBy: 'given', scheme: 'system', typeScale: 1 });
  other.store.dispatch(changeSettings({ sortBy: 'surname' }));
  await other.exchange();
  await one.exchange();
  expect(one.settings().sortBy).toBe('surname');
  const third = await openBrowser('third');
  third.store.dispatch(changeSettings({ sortBy: 'place', bccFrom: 30 }));
  await third.pair();
  await third.exchange();
  await one.exchange();
  expect(third.settings()).toMatchObject({ sortBy: 'surname', bccFrom: 30 });
  expect(one.settings()).toMatchObject({ sortBy: 'surname', bccFrom: 30 });
});

test('nothing new is asked for once, and nothing is sent', async () => {
  const { one } = await two();
  await one.note({ after: talk('a') });
  await one.exchange();
  const before = await hub.db.selectFrom('records').selectAll().execute();
  await one.exchange();
  expect(await hub.db.selectFrom('records').selectAll().execute()).toEqual(before);
  expect(one.writer.talkQueue.size).toBe(0);
});
