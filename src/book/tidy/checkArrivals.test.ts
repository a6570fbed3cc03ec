import { changeBook, undo } from '@/book/commit';
import { addExtractedTo } from '@/book/extract';
import { openBook } from '@/book/openBook';
import { MemoryStorage, openTestBook, put, testInspector } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';
import { isStillNews } from '@/core/talks';

import { keepApart, mergeInBook } from './mergeInBook';
import { selectOpenClusters } from './selectOpenClusters';

const person = (uid: string, full: string, mail?: string): Card => {
  const name = parseName(full);
  return {
    ...newCard(uid, '2026-01-01T00:00:00Z'),
    ...(name ? { name } : {}),
    ...(mail === undefined ? {} : { emails: { e1: { address: mail } } }),
  };
};

async function openWith(...cards: Card[]) {
  const book = openTestBook(new MemoryStorage(), cards);
  Object.assign(book.services, { inspector: testInspector() });
  await book.store.dispatch(openBook());
  return book;
}

test('a card that is added is compared with the book at once, and once more when it is changed', async () => {
  const { store } = await openWith(person('ada', 'Ada Lowther', 'ada@example.org'), person('bo', 'Bo Ek'));
  const duplicate = person('duplicate', 'A. Lowther', 'ada@example.org');
  await store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(duplicate) }));
  await settle();
  expect(selectOpenClusters(store.getState()).map(({ uids }) => uids)).toEqual([['ada', 'duplicate']]);
  await store.dispatch(
    changeBook({
      cause: 'edit',
      label: 'Changed',
      edits: put(person('duplicate', 'Oona Tarrow', 'oona@example.org')),
    }),
  );
  await settle();
  expect(selectOpenClusters(store.getState())).toEqual([]);
});

test('what is kept apart, or gone again, is not shown', async () => {
  const { store } = await openWith(person('ada', 'Ada Lowther', 'ada@example.org'));
  await store.dispatch(
    changeBook({
      cause: 'add',
      label: 'Added',
      edits: put(person('duplicate', 'Ada Lowther', 'ada@example.org')),
    }),
  );
  await settle();
  expect(selectOpenClusters(store.getState())).toHaveLength(1);
  await store.dispatch(keepApart(['ada', 'duplicate']));
  await settle();
  expect(selectOpenClusters(store.getState())).toEqual([]);
  await store.dispatch(undo());
  await store.dispatch(undo());
  expect(selectOpenClusters(store.getState())).toEqual([]);
});

test('what was read out of a text is added to a card, which keeps all it had, and is taken back in one step', async () => {
  const known = person('ada', 'Ada Lowther', 'ada@example.org');
  const { store } = await openWith(known);
  const read: Card = {
    ...person('read', 'Ada Lowther', 'ADA@example.org'),
    phones: { p1: { number: '+442079460123' } },
  };
  await store.dispatch(addExtractedTo(read, 'ada'));
  const card = () => store.getState().cards.byUid.get('ada');
  expect(Object.values(card()?.phones ?? {})).toMatchObject([{ number: '+442079460123' }]);
  expect(Object.values(card()?.emails ?? {})).toHaveLength(1);
  expect(card()?.['cordialis.example:was']).toBeUndefined();
  await store.dispatch(undo());
  expect(card()?.phones).toBeUndefined();
});

async function settle(): Promise<void> {
  for (let i = 0; i < 20; i += 1) await Promise.resolve();
}

test('what an imported second card says more is news of the first, and gone once they are merged', async () => {
  const { store } = await openWith(person('ada', 'Ada Lowther', 'ada@example.org'), person('bo', 'Bo Ek'));
  const duplicate = {
    ...person('duplicate', 'Ada Lowther', 'ada@example.org'),
    titles: { t1: { name: 'Artistic Director' } },
  };
  const stranger = { ...person('cy', 'Cy Lund'), titles: { t1: { name: 'Tuner' } } };
  await store.dispatch(changeBook({ cause: 'import', label: 'Imported', edits: put(duplicate, stranger) }));
  await settle();
  const news = Object.values(store.getState().news.byId ?? {}).map((one) => one.news);
  expect(news.map(({ uid, shown, from }) => [uid, shown, from])).toEqual([
    ['ada', 'Artistic Director', 'import'],
  ]);
  await store.dispatch(mergeInBook([['ada', 'duplicate']]));
  await settle();
  const [first] = news;
  const merged =
    store.getState().cards.byUid.get(first?.uid ?? '') ?? store.getState().cards.byUid.get('duplicate');
  expect(merged && first && isStillNews(merged, first)).toBe(false);
});

test('a card that is typed brings no news: whoever types it knows', async () => {
  const { store } = await openWith(person('ada', 'Ada Lowther', 'ada@example.org'));
  const duplicate = {
    ...person('duplicate', 'Ada Lowther', 'ada@example.org'),
    titles: { t1: { name: 'Tuner' } },
  };
  await store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(duplicate) }));
  await settle();
  expect(store.getState().news.byId ?? {}).toEqual({});
});
