import { changeBook, changeSettings } from '@/book/commit';
import { readCardNow } from '@/book/state/readCardNow';
import { type Card, newCard, parseName } from '@/core/card';

import { openBook, refreshFromStore, saveRowSnapshot } from './openBook';
import { gone, MemoryStorage, openTestBook, put } from './testing';

function cardOf(name: string, more: Partial<Card> = {}): Card {
  const parsed = parseName(name);
  return { ...newCard(`uid-${name}`, '2026-01-01T00:00:00Z'), ...(parsed ? { name: parsed } : {}), ...more };
}
const add = (...cards: Card[]) => changeBook({ cause: 'add', label: 'Added', edits: put(...cards) });
const shownOf = (book: ReturnType<typeof openTestBook>) => {
  const { rows } = book.store.getState();
  return rows.order.map((uid) => rows.byUid.get(uid)?.shown);
};

async function storedBook(...cards: Card[]): Promise<MemoryStorage> {
  const book = openTestBook();
  await book.store.dispatch(openBook());
  await book.store.dispatch(add(...cards));
  await book.writer.flush();
  await book.store.dispatch(saveRowSnapshot());
  return book.storage;
}

/** A storage that hands out no card before it is told to. */
class SlowStorage extends MemoryStorage {
  private release: () => void = () => undefined;
  private readonly gate = new Promise<void>((resolve) => (this.release = resolve));

  constructor(from: MemoryStorage) {
    super();
    for (const [key, value] of from.entries) this.entries.set(key, value);
  }
  open(): void {
    this.release();
  }
  override getMany = async (keys: string[]) => {
    if (keys.some((key) => key.startsWith('card:'))) await this.gate;
    return Object.fromEntries(keys.map((key) => [key, this.entries.get(key) ?? null]));
  };
}
const settle = () => new Promise((resolve) => setTimeout(resolve, 5));

test('the rows of last time show before any card has been read', async () => {
  const storage = new SlowStorage(await storedBook(cardOf('Ada Lowther'), cardOf('Bo Ek')));
  const book = openTestBook(storage);
  const opening = book.store.dispatch(openBook());
  await settle();
  expect(shownOf(book)).toEqual(['Bo Ek', 'Ada Lowther']);
  expect(book.store.getState().status.isOpen).toBe(true);
  expect(book.store.getState().status.reading).toBeDefined();
  storage.open();
  await opening;
  expect(book.store.getState().status.reading).toBeUndefined();
  expect(book.store.getState().cards.byUid.uids()).toHaveLength(2);
});

test('rows of cards that have gone meanwhile go too, and rows of another order are not shown', async () => {
  const storage = await storedBook(cardOf('Ada Lowther'), cardOf('Bo Ek'));
  storage.entries.delete('card:uid-Bo Ek');
  const book = openTestBook(storage);
  await book.store.dispatch(openBook());
  expect(shownOf(book)).toEqual(['Ada Lowther']);

  storage.entries.set('settings', JSON.stringify({ sortBy: 'given' }));
  const slow = new SlowStorage(storage);
  const other = openTestBook(slow);
  void other.store.dispatch(openBook());
  await settle();
  expect(shownOf(other)).toEqual([]);
  slow.open();
});

test('a card that comes while the book is being read takes nothing from the one that turns out to be there', async () => {
  const ada = cardOf('Ada Lowther', { nicknames: { n1: { name: 'old' } } });
  const storage = new SlowStorage(await storedBook(ada));
  const book = openTestBook(storage);
  const opening = book.store.dispatch(openBook());
  await settle();
  await book.store.dispatch(add({ ...ada, nicknames: { n1: { name: 'new' } } }));
  storage.open();
  await opening;
  const { nicknames = {} } = book.store.getState().cards.byUid.get(ada.uid) ?? {};
  expect(Object.values(nicknames).map(({ name }) => name)).toEqual(['old', 'new']);
});

test('a card deleted while the book is being read does not come back', async () => {
  const ada = cardOf('Ada Lowther');
  const storage = new SlowStorage(await storedBook(ada, cardOf('Bo Ek')));
  const book = openTestBook(storage);
  const opening = book.store.dispatch(openBook());
  await settle();
  await book.store.dispatch(add(ada));
  await book.store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone(ada.uid) }));
  storage.open();
  await opening;
  await book.writer.flush();
  expect(shownOf(book)).toEqual(['Bo Ek']);
  expect(storage.entries.has(`card:${ada.uid}`)).toBe(false);
});

test('a card is read before its turn when it is looked at', async () => {
  const storage = await storedBook(cardOf('Ada Lowther'), cardOf('Bo Ek'));
  const book = openTestBook(storage);
  // Nothing has been opened yet.
  expect((await book.store.dispatch(readCardNow('uid-Bo Ek')))?.uid).toBe('uid-Bo Ek');
  expect(await book.store.dispatch(readCardNow('uid-nobody'))).toBeUndefined();
});

test('settings that are damaged fall back one by one, the others stay', async () => {
  const storage = await storedBook(cardOf('Ada Lowther'));
  storage.entries.set(
    'settings',
    JSON.stringify({ sortBy: 'shoe size', country: 'PL', typeScale: 99, scheme: 'dark' }),
  );
  const book = openTestBook(storage);
  await book.store.dispatch(openBook());
  expect(book.store.getState().settings).toMatchObject({
    sortBy: 'surname',
    country: 'PL',
    typeScale: 1,
    scheme: 'dark',
  });
  storage.entries.set('settings', 'no JSON');
  const again = openTestBook(storage);
  await again.store.dispatch(openBook());
  expect(again.store.getState().settings.country).toBe('GB');
});

test('what another page has written comes in: cards, removals, history, settings', async () => {
  const storage = await storedBook(cardOf('Ada Lowther'), cardOf('Bo Ek'));
  const [one, two] = [openTestBook(storage), openTestBook(storage)];
  await one.store.dispatch(openBook());
  await two.store.dispatch(openBook());
  const change = await one.store.dispatch(add(cardOf('Cy Dee')));
  await one.store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone('uid-Bo Ek') }));
  one.store.dispatch(changeSettings({ sortBy: 'given' }));
  await one.writer.flush();
  await two.store.dispatch(refreshFromStore(['uid-Cy Dee', 'uid-Bo Ek'], [change?.id ?? ''], true));
  expect(shownOf(two)).toEqual(['Ada Lowther', 'Cy Dee']);
  expect(two.store.getState().settings.sortBy).toBe('given');
  expect(two.store.getState().history.steps.map(({ id }) => id)).toContain(change?.id);
});

test('settings are kept for the next start', async () => {
  const storage = await storedBook(cardOf('Ada Lowther'));
  const book = openTestBook(storage);
  await book.store.dispatch(openBook());
  book.store.dispatch(changeSettings({ country: 'SE', particlesCount: true }));
  await book.writer.flush();
  const again = openTestBook(storage);
  await again.store.dispatch(openBook());
  expect(again.store.getState().settings).toMatchObject({ country: 'SE', particlesCount: true });
});
