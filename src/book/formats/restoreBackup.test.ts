import { changeBook, finishLong, readAllTalks, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { selectCardsByUid, selectSettings, selectUnfinished } from '@/book/state';
import type { EndingStorage } from '@/book/testing';
import { closedAnywhere, openTestBook } from '@/book/testing';
import { type Card, newCard } from '@/core/card';
import type { Talk } from '@/core/talks';

import { backUpBook } from './backup';
import { backupOf, readHere } from './backupInTests';
import { openBackup, restoreBackup } from './restoreBackup';

/** The talks that were packed last. */
let mockPacked: Talk[] = [];
jest.mock('@/book/clients/filesClient', () => ({
  writeBackupInWorker: (source: { talks(): Promise<readonly Talk[] | undefined> }) => {
    const read = async () => {
      mockPacked = [];
      for (let some = await source.talks(); some; some = await source.talks()) mockPacked.push(...some);
      return new Blob();
    };
    return { result: read(), stop: () => undefined };
  },
}));

const photo = `data:image/png;base64,${'a'.repeat(300)}`;
const card = (i: number, more: Partial<Card> = {}): Card => ({
  ...newCard(`c${String(i).padStart(3, '0')}`, '2026-01-01T00:00:00Z'),
  name: { full: `Card ${i}` },
  ...more,
});
const talk = (id: string, day: string, said = 'words'): Talk => ({
  ...{ id, kind: 'call', direction: 'out', day, with: ['c000'], said },
});
// More than are handed over at once.
const cards = Array.from({ length: 450 }, (_, i) =>
  card(i, i === 7 ? { media: { m1: { kind: 'photo', uri: photo } } } : {}),
);
const talks = [
  talk('1', '2026-08-01'),
  talk('2', '2026-08-02'),
  talk('3', '2026-11-02', 'moved here'),
  talk('4', '2026-11-03'),
];
const exactly = { isExact: true, withSettings: true };

/** A book with other cards and talks than the backup has. */
async function otherBook() {
  const book = openTestBook(undefined, [card(0, { nicknames: { n1: { name: 'Mine' } } }), card(900)], {
    fetchFirstTalks: () => Promise.resolve([talk('3', '2026-08-09'), talk('9', '2026-10-01')]),
  });
  await book.store.dispatch(openBook());
  await book.writer.flush();
  return book;
}
const backup = async () => {
  const { blob, summary } = await backupOf(cards, talks, { sortBy: 'given' });
  return { file: blob, summary: await summary() };
};
async function stateOf(book: ReturnType<typeof openTestBook>) {
  const all = await book.store.dispatch(readAllTalks());
  return {
    cards: [...selectCardsByUid(book.store.getState()).values()]
      .map((one) => ({ ...one, updated: '' }))
      .sort((a, b) => (a.uid < b.uid ? -1 : 1)),
    talks: all.sort((a, b) => (a.id < b.id ? -1 : 1)),
    summary: book.store.getState().talks.summaries.get('c000')?.count,
    sortBy: selectSettings(book.store.getState()).sortBy,
  };
}

test('what restoring would bring is counted before anything is changed', async () => {
  const book = await otherBook();
  const { file } = await backup();
  const opened = await book.store.dispatch(openBackup(file, () => undefined, undefined, readHere));
  expect([opened.summary.cards, opened.fresh, opened.different, opened.same]).toEqual([450, 449, 1, 0]);
  expect(selectCardsByUid(book.store.getState()).uids()).toHaveLength(2);
});

test('an exact restore gives the book as it was then, settings included, and one undo the book as it was before', async () => {
  const book = await otherBook();
  const before = await stateOf(book);
  await book.store.dispatch(restoreBackup(await backup(), exactly, readHere));
  const after = await stateOf(book);
  expect([after.cards.length, after.summary, after.sortBy]).toEqual([450, 4, 'given']);
  expect(after.talks).toEqual(talks);
  expect(JSON.stringify(after.cards)).not.toContain('Mine');
  expect([...book.storage.entries.values()]).toContain(photo);
  await book.store.dispatch(undo());
  await book.writer.flush();
  expect(await stateOf(book)).toEqual(before);
});

test('without “exactly”, what the backup has not stays', async () => {
  const book = await otherBook();
  await book.store.dispatch(restoreBackup(await backup(), { isExact: false, withSettings: false }, readHere));
  const { cards: all, talks: said, sortBy } = await stateOf(book);
  expect([all.length, said.length, sortBy]).toEqual([451, 5, 'surname']);
});

test('a restore whose page is closed, after any number of writes, is finished to the same book at the next start', async () => {
  const whole = await otherBook();
  const start = new Map(whole.storage.entries);
  await whole.store.dispatch(restoreBackup(await backup(), exactly, readHere));
  await whole.writer.flush();
  const wanted = await stateOf(whole);
  let offered = 0;
  const work = async (storage: EndingStorage, writes: number) => {
    const { store } = openTestBook(storage);
    await store.dispatch(openBook());
    storage.left = writes;
    await store.dispatch(restoreBackup(await backup(), exactly, readHere));
  };
  await closedAnywhere(start, work, async (storage) => {
    const next = openTestBook(storage);
    await next.store.dispatch(openBook());
    const [step] = selectUnfinished(next.store.getState());
    if (!step) return;
    offered += 1;
    await next.store.dispatch(finishLong(step));
    await next.writer.flush();
    expect(await stateOf(next)).toEqual(wanted);
  });
  expect(offered).toBeGreaterThan(3);
});

test('while the store takes nothing, a backup has what is not in it yet', async () => {
  const book = await otherBook();
  book.storage.fails = true;
  const talks = [{ after: talk('new', '2026-09-09') }, { before: talk('9', '2026-10-01') }];
  await book.store.dispatch(changeBook({ cause: 'edit', label: 'Noted', talks }));
  await (
    await book.store.dispatch(backUpBook())
  ).result;
  expect(mockPacked.map(({ id }) => id).sort()).toEqual(['3', 'new']);
});
