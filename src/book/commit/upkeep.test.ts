import { openBook } from '@/book/openBook';
import { selectSetAside } from '@/book/state';
import { KEYS } from '@/book/store';
import { MemoryStorage, openTestBook } from '@/book/testing';
import { type Card, newCard } from '@/core/card';
import { summarise, type Talk } from '@/core/talks';

import { changeBook } from './changeBook';
import { changeSettings } from './changeSettings';
import { keepUp } from './keepUp';
import { DAY_MS } from './lookThrough';
import { pruneHistory } from './pruneHistory';
import { undo } from './replay';

const photo = (name: string) => `data:image/png;base64,${name.repeat(300)}`;
const ada: Card = { ...newCard('ada', '2026-01-01T00:00:00Z'), name: { full: 'Ada Lowther' } };
const withPhoto = (name: string): Card => ({ ...ada, media: { m1: { kind: 'photo', uri: photo(name) } } });
const set = (card: Card) =>
  changeBook({ cause: 'edit', label: 'Edited', edits: [{ uid: card.uid, apply: () => card }] });
const talk = (id: string, day: string): Talk => ({
  ...{ id, kind: 'call', direction: 'out', day, with: ['ada'], said: 'words' },
});

/** A book whose days go by. */
async function bookWithDays(storage = new MemoryStorage()) {
  let day = 0;
  const book = openTestBook(storage, undefined, { nowMs: () => 1_700_000_000_000 + day * DAY_MS });
  await book.store.dispatch(openBook());
  const keepUpOn = async (to: number) => {
    day = to;
    await book.store.dispatch(keepUp());
    await book.writer.flush();
  };
  const photos = () => [...book.storage.entries.keys()].filter((key) => key.startsWith(KEYS.photo)).length;
  return { ...book, keepUpOn, photos };
}

test('a photo stays as long as a card or a step needs it', async () => {
  const { store, writer, keepUpOn, photos } = await bookWithDays();
  await store.dispatch(set(withPhoto('a')));
  await store.dispatch(set(withPhoto('b')));
  await writer.flush();
  await keepUpOn(1);
  await keepUpOn(3);
  // The step that put "b" in place of "a" can bring "a" back.
  expect(photos()).toBe(2);
  await store.dispatch(undo());
  await writer.flush();
  await keepUpOn(40);
  await keepUpOn(42);
  expect(photos()).toBe(2);
  store.dispatch(changeSettings({ historyYears: 1 }));
  await store.dispatch(set({ ...withPhoto('c') }));
  await writer.flush();
  expect(photos()).toBe(3);
});

test('steps that are kept no longer go with their pieces, and the files that only they needed go a day later', async () => {
  const { store, storage, writer, keepUpOn, photos } = await bookWithDays();
  await store.dispatch(set(withPhoto('a')));
  await store.dispatch(set(ada));
  await writer.flush();
  const pieces = () => [...storage.entries.keys()].filter((key) => key.startsWith(KEYS.piece)).length;
  expect([pieces(), photos()]).toEqual([2, 1]);
  // Both steps are of 2026-11-24, as the test's clock has it: years later they have had their time.
  jest.useFakeTimers({
    doNotFake: ['setTimeout', 'nextTick', 'setImmediate', 'queueMicrotask'],
    now: new Date('2029-01-01'),
  });
  await keepUpOn(800);
  expect([pieces(), photos(), store.getState().history.steps]).toEqual([0, 1, []]);
  await keepUpOn(802);
  jest.useRealTimers();
  expect(photos()).toBe(0);
});

test('nothing is removed for its size while there is room', async () => {
  const { store, writer } = await bookWithDays();
  await store.dispatch(set(ada));
  await writer.flush();
  const { left, hasPruned } = await store.dispatch(pruneHistory());
  expect([left.length, hasPruned]).toEqual([1, false]);
});

test('files of talks and of saved drafts stay', async () => {
  const { storage, keepUpOn, photos } = await bookWithDays();
  storage.entries.set(`${KEYS.photo}t`, photo('t'));
  storage.entries.set(`${KEYS.photo}d`, photo('d'));
  storage.entries.set(`${KEYS.photo}n`, photo('n'));
  const files = [{ name: 'a.pdf', blobId: 't' }];
  storage.entries.set(`${KEYS.talks}2026-11`, JSON.stringify([{ ...talk('1', '2026-11-03'), files }]));
  storage.entries.set(`${KEYS.aDraft}1`, JSON.stringify({ files: [{ blobId: 'd' }] }));
  await keepUpOn(1);
  expect(photos()).toBe(3);
  await keepUpOn(3);
  expect([...storage.entries.keys()].filter((key) => key.startsWith(KEYS.photo))).toEqual([
    'photo:t',
    'photo:d',
  ]);
});

test('a summary that disagrees with its talks is made again, one that can’t be read at the next start', async () => {
  const talks = [talk('1', '2026-10-03'), talk('2', '2026-11-05')];
  const { storage, keepUpOn, store } = await bookWithDays();
  storage.entries.set(`${KEYS.talks}2026-10`, JSON.stringify([talks[0]]));
  storage.entries.set(`${KEYS.talks}2026-11`, JSON.stringify([talks[1]]));
  storage.entries.set(`${KEYS.summary}ada`, JSON.stringify(summarise([talk('1', '2026-10-03')])));
  storage.entries.set(`${KEYS.summary}gone`, JSON.stringify(summarise([talk('1', '2026-10-03')])));
  await keepUpOn(1);
  const kept = () => JSON.parse(storage.entries.get(`${KEYS.summary}ada`) ?? '') as unknown;
  expect([kept(), storage.entries.get(`${KEYS.summary}gone`)]).toEqual([summarise(talks), '']);
  expect(store.getState().talks.summaries.get('ada')).toEqual(summarise(talks));
  storage.entries.set(`${KEYS.summary}ada`, '{"count":');
  const next = await bookWithDays(storage);
  expect([kept(), next.store.getState().talks.summaries.get('ada')]).toEqual([
    summarise(talks),
    summarise(talks),
  ]);
});

test('damaged months, steps and settings are set aside with what they say, and named, now and at each start', async () => {
  const { storage, store, writer } = await bookWithDays();
  await store.dispatch(set(ada));
  await writer.flush();
  const step = [...storage.entries.keys()].find((key) => key.startsWith(KEYS.step)) ?? '';
  storage.entries.set(step, '{"id":"cut o');
  storage.entries.set(`${KEYS.talks}2026-11`, '[{"id":"1"');
  storage.entries.set(KEYS.settings, '{"sortBy":');
  const damaged = ['settings', step, 'talks:2026-11'];
  const next = await bookWithDays(storage);
  await next.keepUpOn(1);
  next.store.dispatch(changeSettings({ sortBy: 'given' }));
  await next.writer.flush();
  for (const key of damaged) {
    expect(storage.entries.get(`${KEYS.aside}${key}`)).toMatch(/^[[{]"|^\[\{"/);
    expect(selectSetAside(next.store.getState()).join('\n')).toContain(key);
  }
  const later = await bookWithDays(storage);
  expect(selectSetAside(later.store.getState()).toSorted()).toEqual(damaged.toSorted());
});
