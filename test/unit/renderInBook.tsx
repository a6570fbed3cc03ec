import type { ReactElement } from 'react';
import { act } from 'react';
import { Provider } from 'react-redux';

import { changeBook } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { type Services, ServicesProvider } from '@/book/state';
import { MemoryStorage, openTestBook, put } from '@/book/testing';
import type { Card } from '@/core/card';

import { renderDom } from './renderDom';

/** Draws something within a book that has these cards, over a storage in memory. */
export async function renderInBook(
  element: ReactElement,
  cards: readonly Card[] = [],
  some: Partial<Services> = {},
) {
  const book = openTestBook(some.storage instanceof MemoryStorage ? some.storage : undefined);
  const services = { ...book.services, ...some };
  await book.store.dispatch(openBook());
  if (cards.length > 0)
    await book.store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(...cards) }));
  const wrap = (inner: ReactElement) => (
    <Provider store={book.store}>
      <ServicesProvider value={services}>{inner}</ServicesProvider>
    </Provider>
  );
  const drawn = renderDom(wrap(element));
  return {
    ...drawn,
    store: book.store,
    storage: book.storage,
    writer: book.writer,
    redraw: (next: ReactElement) => drawn.redraw(wrap(next)),
  };
}

/** Lets what has been promised happen. */
export function settle(): Promise<void> {
  return act(() => new Promise<void>((resolve) => setTimeout(resolve, 10)));
}
