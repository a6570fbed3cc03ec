import { changeBook, readAllTalks, readShards, undo } from '@/book/commit';
import { restoreBackup } from '@/book/formats';
import { backupOf, readHere } from '@/book/formats/backupInTests';
import { openBook } from '@/book/openBook';
import { selectShards, selectSummaries } from '@/book/state';
import { MemoryStorage, openTestBook } from '@/book/testing';
import { newCard } from '@/core/card';
import type { Talk } from '@/core/talks';

const talk = (id: string, day: string, more: Partial<Talk> = {}): Talk => ({
  ...{ id, kind: 'call', day, direction: 'out', with: ['ada'], said: '' },
  ...more,
});
const cards = [newCard('ada', '2026-01-01T00:00:00Z'), newCard('bo', '2026-01-01T00:00:00Z')];

async function bookWithTalks(...talks: Talk[]) {
  const storage = new MemoryStorage();
  const book = openTestBook(storage, cards);
  await book.store.dispatch(openBook());
  for (const after of talks)
    await book.store.dispatch(changeBook({ cause: 'edit', label: 'Noted', talks: [{ after }] }));
  await settle(book);
  return { book, storage };
}
async function settle({ services }: ReturnType<typeof openTestBook>): Promise<void> {
  for (let i = 0; i < 5; i += 1) await services.writer.flush();
}

test('talks are kept by month with a summary a card, and are there after a new start', async () => {
  const { storage } = await bookWithTalks(
    talk('1', '2026-10-30'),
    talk('2', '2026-11-01', { with: ['ada', 'bo'] }),
  );
  const again = openTestBook(storage);
  await again.store.dispatch(openBook());
  expect(selectSummaries(again.store.getState()).get('ada')).toMatchObject({
    count: 2,
    months: ['2026-10', '2026-11'],
  });
  expect(selectSummaries(again.store.getState()).get('bo')).toMatchObject({ count: 1, last: '2026-11-01' });
  await again.store.dispatch(readShards(['2026-10', '2026-11']));
  expect(selectShards(again.store.getState())['2026-10']?.map(({ id }) => id)).toEqual(['1']);
});

test('undo takes a talk and what is kept of it away again; a changed day moves it to its month', async () => {
  const first = talk('1', '2026-10-30');
  const { book, storage } = await bookWithTalks(first, talk('2', '2026-11-01'));
  const moved = { ...first, day: '2026-09-02', said: 'Later' };
  await book.store.dispatch(
    changeBook({ cause: 'edit', label: 'Moved', talks: [{ before: first, after: moved }] }),
  );
  await settle(book);
  expect(selectSummaries(book.store.getState()).get('ada')).toMatchObject({
    first: '2026-09-02',
    months: ['2026-09', '2026-11'],
  });
  expect(JSON.parse(storage.entries.get('talks:2026-10') ?? '')).toEqual([]);
  await book.store.dispatch(undo());
  await book.store.dispatch(undo());
  await settle(book);
  await settle(book);
  expect(selectSummaries(book.store.getState()).get('ada')).toMatchObject({ count: 1, last: '2026-10-30' });
  await book.store.dispatch(undo());
  await settle(book);
  await settle(book);
  expect(selectSummaries(book.store.getState()).get('ada')).toBeUndefined();
});

test('a talk that is deleted and taken back at once is counted once', async () => {
  const first = talk('1', '2026-11-01');
  const { book } = await bookWithTalks(first);
  // Not settled: the undo comes before the deletion has reached the store.
  await book.store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', talks: [{ before: first }] }));
  await book.store.dispatch(undo());
  await settle(book);
  await settle(book);
  expect(selectSummaries(book.store.getState()).get('ada')).toMatchObject({ count: 1 });
});

test('what another page has put into the same month stays', async () => {
  const { book, storage } = await bookWithTalks(talk('1', '2026-11-01'));
  storage.entries.set(
    'talks:2026-11',
    JSON.stringify([talk('1', '2026-11-01'), talk('theirs', '2026-11-02')]),
  );
  await book.store.dispatch(
    changeBook({ cause: 'edit', label: 'Noted', talks: [{ after: talk('2', '2026-11-03') }] }),
  );
  await settle(book);
  const ids = (JSON.parse(storage.entries.get('talks:2026-11') ?? '[]') as Talk[]).map(({ id }) => id);
  expect(ids).toEqual(['1', 'theirs', '2']);
});

test('a backup brings talks back, exactly as they were, and one undo takes all of it back again', async () => {
  const { book } = await bookWithTalks(talk('1', '2026-10-30'), talk('2', '2026-11-01'));
  const changed = talk('1', '2026-10-30', { said: 'As it was' });
  const file = await backupOf([], [changed, talk('3', '2025-01-01')]);
  const summary = await file.summary();
  const options = { isExact: true, withSettings: false };
  await book.store.dispatch(restoreBackup({ file: file.blob, summary }, options, readHere));
  await settle(book);
  const all = async () =>
    (await book.store.dispatch(readAllTalks())).map(({ id, said }) => `${id}${said}`).sort();
  expect(await all()).toEqual(['1As it was', '3']);
  expect(selectSummaries(book.store.getState()).get('ada')).toMatchObject({ count: 2, first: '2025-01-01' });
  await book.store.dispatch(undo());
  await settle(book);
  await settle(book);
  expect(await all()).toEqual(['1', '2']);
});

test('a talk noted while the book is still being read is added to what the store knows, and stays so', async () => {
  const { storage } = await bookWithTalks(talk('1', '2026-10-30'), talk('2', '2026-11-01'));
  const late = openTestBook(storage);
  await late.store.dispatch(
    changeBook({ cause: 'edit', label: 'Noted', talks: [{ after: talk('3', '2026-11-05') }] }),
  );
  await settle(late);
  await late.store.dispatch(openBook());
  expect(selectSummaries(late.store.getState()).get('ada')).toMatchObject({
    count: 3,
    first: '2026-10-30',
    last: '2026-11-05',
  });
});
