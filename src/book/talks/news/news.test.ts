import { redo, undo } from '@/book/commit';
import { importCards } from '@/book/formats';
import { selectNewsById } from '@/book/state';
import { openTestBook, testInspector } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';

import { acceptOneNews, dismissNews, lookForNews } from './changeNews';

const ADA: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  ...{ kind: 'individual', name: parseName('Ada Lowther') ?? {} },
  titles: { t1: { name: 'Double bass' } },
};
const signature = {
  ...{ uid: 'ada', day: '2026-11-20' },
  text: 'See you then.\n\nAda Lowther\nArtistic Director\nM: 07700 900456',
};

async function openWithNews(storage = openTestBook().storage) {
  const book = openTestBook(storage, undefined, { inspector: testInspector() });
  await book.store.dispatch(importCards([ADA], 'a file'));
  await book.store.dispatch(lookForNews([signature]));
  const news = () => Object.values(selectNewsById(book.store.getState()) ?? {});
  const card = () => book.store.getState().cards.byUid.get('ada');
  return { ...book, news, card };
}

test('news is found once, accepted as a step that can be undone, and dismissed for good', async () => {
  const { store, storage, writer, news, card } = await openWithNews();
  expect(news().map((one) => one.news.shown)).toEqual(['Artistic Director', '07700 900456']);
  await store.dispatch(lookForNews([signature]));
  expect(news()).toHaveLength(2);
  const [title, number] = news().map((one) => one.news);
  if (!title || !number) throw new Error('no news');
  store.dispatch(acceptOneNews(title));
  await new Promise((resolve) => setTimeout(resolve));
  expect(card()?.titles).toEqual({ t1: { name: 'Artistic Director' } });
  await store.dispatch(undo());
  expect(card()?.titles).toEqual(ADA.titles);
  store.dispatch(dismissNews(number, 'Ada Lowther'));
  await new Promise((resolve) => setTimeout(resolve));
  const isDismissed = () => news().find((one) => one.news.id === number.id)?.isDismissed === true;
  expect(isDismissed()).toBe(true);
  await store.dispatch(undo());
  expect(isDismissed()).toBe(false);
  await store.dispatch(redo());
  expect(isDismissed()).toBe(true);
  await writer.flush();
  // After a restart it is known still.
  const again = await openWithNews(storage);
  const known = again.news().find((one) => one.news.id === number.id);
  expect(known?.isDismissed).toBe(true);
});

test('a signature of somebody without a card brings nothing', async () => {
  const { store, news } = await openWithNews();
  const before = news().length;
  await store.dispatch(lookForNews([{ ...signature, uid: 'nobody' }]));
  expect(news()).toHaveLength(before);
});
