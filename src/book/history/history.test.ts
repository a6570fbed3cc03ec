import fc from 'fast-check';

import { changeBook, redo, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { gone, openTestBook, put } from '@/book/testing';
import { type Card, newCard } from '@/core/card';

const uids = ['a', 'b', 'c'];
const card = (uid: string, phone: string, nickname: string): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  phones: { p1: { number: phone } },
  nicknames: { n1: { name: nickname } },
});
type Step =
  { readonly kind: 'put'; readonly cards: Card[] } | { readonly kind: 'remove'; readonly uid: string };
const value = fc.constantFrom('1', '2', '3');
const step: fc.Arbitrary<Step> = fc.oneof(
  fc
    .uniqueArray(fc.tuple(fc.constantFrom(...uids), value, value), {
      minLength: 1,
      maxLength: 3,
      selector: ([uid]) => uid,
    })
    .map((all): Step => ({ kind: 'put', cards: all.map(([uid, phone, name]) => card(uid, phone, name)) })),
  fc.constantFrom(...uids).map((uid): Step => ({ kind: 'remove', uid })),
);

/** The book without the dates of writing, which an undone change gives back too but a new one sets. */
function said(book: ReturnType<typeof openTestBook>): unknown {
  const { byUid } = book.store.getState().cards;
  return Object.fromEntries(byUid.values().map(({ uid, phones, nicknames }) => [uid, { phones, nicknames }]));
}

async function run(book: ReturnType<typeof openTestBook>, one: Step) {
  const { byUid } = book.store.getState().cards;
  if (one.kind === 'put')
    return book.store.dispatch(changeBook({ cause: 'edit', label: 'Put', edits: put(...one.cards) }));
  if (!byUid.get(one.uid)) return undefined;
  return book.store.dispatch(changeBook({ cause: 'delete', label: 'Removed', edits: gone(one.uid) }));
}

test('taking everything back gives the book as it was at each step, and doing it again the end', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 8 }), async (steps) => {
      const book = openTestBook();
      await book.store.dispatch(openBook());
      const was: unknown[] = [said(book)];
      for (const one of steps) if (await run(book, one)) was.push(said(book));
      for (let i = was.length - 2; i >= 0; i -= 1) {
        await book.store.dispatch(undo());
        expect(said(book)).toEqual(was[i]);
      }
      for (let i = 1; i < was.length; i += 1) {
        await book.store.dispatch(redo());
        expect(said(book)).toEqual(was[i]);
      }
    }),
    { numRuns: 60 },
  );
});

test('what has been taken back can’t be done again once something else was done', async () => {
  const book = openTestBook();
  await book.store.dispatch(openBook());
  await run(book, { kind: 'put', cards: [card('a', '1', '1')] });
  await book.store.dispatch(undo());
  await run(book, { kind: 'put', cards: [card('b', '2', '2')] });
  await book.store.dispatch(redo());
  expect(Object.keys(said(book) as object)).toEqual(['b']);
});

test('undo and redo with nothing to do change nothing', async () => {
  const book = openTestBook();
  await book.store.dispatch(openBook());
  await book.store.dispatch(undo());
  await book.store.dispatch(redo());
  await book.store.dispatch(undo('no such change'));
  expect([said(book), book.store.getState().history.steps]).toEqual([{}, []]);
});
