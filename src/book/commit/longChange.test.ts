import { edited, type Step } from '@/book/history';
import { openBook } from '@/book/openBook';
import { selectSteps, selectUnfinished } from '@/book/state';
import { KEYS } from '@/book/store';
import type { EndingStorage } from '@/book/testing';
import { closedAnywhere, MemoryStorage, openTestBook, put } from '@/book/testing';
import { type Card, newCard } from '@/core/card';

import { changeBook } from './changeBook';
import { changeInBatches, finishLong } from './longChange';
import { undo } from './replay';

const cards = Array.from({ length: 7 }, (_, i): Card => ({
  ...newCard(`c${i}`, '2026-01-01T00:00:00Z'),
  name: { full: `Card ${i}` },
}));
const tagAll = cards.map(({ uid }) =>
  edited(uid, (now) => ({ ...now, keywords: { ...now.keywords, press: true } })),
);
const tagged = (entries: ReadonlyMap<string, string>) =>
  cards.filter(({ uid }) => (entries.get(`${KEYS.card}${uid}`) ?? '').includes('press')).length;
const todo = (entries: ReadonlyMap<string, string>) =>
  [...entries].filter(([key, text]) => key.startsWith(KEYS.todo) && text !== '');

async function fullBook(): Promise<MemoryStorage> {
  const book = openTestBook();
  await book.store.dispatch(openBook());
  await book.store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(...cards) }));
  await book.writer.flush();
  return book.storage;
}

const tagSeven = async (storage: MemoryStorage) => {
  const { store } = openTestBook(storage);
  await store.dispatch(openBook());
  return store.dispatch(
    changeInBatches({ cause: 'edit', label: 'Tagged 7 cards', edits: tagAll }, { pieceSize: 2 }),
  );
};

const unfinished = (book: ReturnType<typeof openTestBook>): readonly Step[] =>
  selectUnfinished(book.store.getState());

/** After the page was closed after every number of writes: what the next page finds, opened. */
async function tagClosedAnywhere(
  check: (book: ReturnType<typeof openTestBook>, storage: MemoryStorage) => Promise<void>,
): Promise<number> {
  const { entries } = await fullBook();
  const work = (storage: EndingStorage, writes: number) => {
    storage.left = writes;
    return tagSeven(storage);
  };
  return closedAnywhere(entries, work, async (storage) => {
    const book = openTestBook(storage);
    await book.store.dispatch(openBook());
    await check(book, storage);
  });
}

test('a long change that a closed page left half done is offered, and finished by name and number', async () => {
  let offered = 0;
  const writes = await tagClosedAnywhere(async (book, { entries }) => {
    const [step] = unfinished(book);
    if (!step) return expect([0, 7]).toContain(tagged(entries));
    offered += 1;
    expect([step.label, step.cards]).toEqual(['Tagged 7 cards', tagged(entries)]);
    await book.store.dispatch(finishLong(step));
    expect([tagged(entries), todo(entries), unfinished(book)]).toEqual([7, [], []]);
    await book.store.dispatch(undo());
    await book.writer.flush();
    expect(tagged(entries)).toBe(0);
  });
  expect(offered).toBeGreaterThan(2);
  expect(writes).toBeGreaterThan(offered);
});

test('or it is undone, as far as it had come', async () => {
  await tagClosedAnywhere(async (book, { entries }) => {
    const [step] = unfinished(book);
    if (!step) return;
    await book.store.dispatch(undo(step.id));
    await book.writer.flush();
    expect([tagged(entries), todo(entries), unfinished(book)]).toEqual([0, [], []]);
  });
});

test('an undoing that a closed page left half done is gone on with by itself', async () => {
  const done = await fullBook();
  await tagSeven(done);
  const work = async (storage: EndingStorage, writes: number) => {
    const { store, writer } = openTestBook(storage);
    await store.dispatch(openBook());
    storage.left = writes;
    await store.dispatch(undo());
    await writer.flush();
  };
  const writes = await closedAnywhere(done.entries, work, async (storage, isOver) => {
    const next = openTestBook(storage);
    await next.store.dispatch(openBook());
    // What it goes on with by itself nobody waits for.
    for (let turn = 0; turn < 50; turn += 1) await new Promise((resolve) => setTimeout(resolve, 0));
    await next.writer.flush();
    const { state } = selectSteps(next.store.getState()).at(-1) ?? {};
    expect([state, tagged(storage.entries)]).toEqual(state === 'done' ? ['done', 7] : ['undone', 0]);
    if (isOver) expect(state).toBe('undone');
  });
  expect(writes).toBeGreaterThan(3);
});

test('nothing goes on while the store takes nothing, and all of it comes when it does again', async () => {
  const { entries } = await fullBook();
  const storage = Object.assign(new MemoryStorage(), { entries });
  const book = openTestBook(storage);
  await book.store.dispatch(openBook());
  const shares: number[] = [];
  const over = book.store.dispatch(
    changeInBatches(
      { cause: 'edit', label: 'Tagged', edits: tagAll },
      {
        pieceSize: 2,
        onProgress: (share01) => {
          shares.push(share01);
          if (shares.length === 6) storage.fails = true;
        },
      },
    ),
  );
  await new Promise((resolve) => setTimeout(resolve, 20));
  expect(book.store.getState().status.saving.kind).toBe('failed');
  const [before, count] = [tagged(entries), shares.length];
  expect(before).toBeLessThan(7);
  storage.fails = false;
  await book.writer.flush();
  await over;
  expect([tagged(entries), shares.length > count, shares.at(-1)]).toEqual([7, true, 1]);
});

test('stopped, it leaves the book as it was', async () => {
  const { entries } = await fullBook();
  for (let stopAt = 1; stopAt < 9; stopAt += 1) {
    const book = openTestBook(Object.assign(new MemoryStorage(), { entries: new Map(entries) }));
    await book.store.dispatch(openBook());
    let seen = 0;
    const step = await book.store.dispatch(
      changeInBatches(
        { cause: 'edit', label: 'Tagged', edits: tagAll },
        { pieceSize: 2, onProgress: () => (seen += 1), isStopped: () => seen >= stopAt },
      ),
    );
    await book.writer.flush();
    expect([step, tagged(book.storage.entries), todo(book.storage.entries)]).toEqual([undefined, 0, []]);
  }
});
