import { selectTags } from '@/book/card';
import { changeBook, changeMany, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { gone, openTestBook, put } from '@/book/testing';
import { type Card, newCard, tagsOf, withTag } from '@/core/card';
import { memberUids, newList, withMembers } from '@/core/lists';

import {
  choiceAdded,
  choiceMade,
  choiceToggled,
  choosingEnded,
  choosingReducer,
  selectChosenCards,
  selectIsChoosing,
} from './choosingSlice';
import { selectLists } from './selectLists';

const now = '2026-01-01T00:00:00Z';
const cards = Array.from({ length: 450 }, (_, i): Card => newCard(`c${i}`, now));

async function openWith(some: readonly Card[]) {
  const book = openTestBook();
  await book.store.dispatch(openBook());
  await book.store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(...some) }));
  return book;
}

test('a card is chosen, and let go, and a range goes on from the last', () => {
  const one = choosingReducer(undefined, choiceToggled('a'));
  const range = choosingReducer(one, choiceAdded(['b', 'c']));
  expect([Object.keys(range.uids), range.anchor]).toEqual([['a', 'b', 'c'], 'c']);
  expect(choosingReducer(range, choiceMade(['d']))).toEqual({ isOn: true, uids: { d: true }, anchor: 'd' });
  const less = choosingReducer(range, choiceToggled('b'));
  expect([Object.keys(less.uids), less.isOn]).toEqual([['a', 'c'], true]);
  expect(choosingReducer(less, choosingEnded())).toEqual({ isOn: false, uids: {} });
});

test('cards that are gone are not among the chosen', async () => {
  const { store } = await openWith(cards.slice(0, 3));
  store.dispatch(choiceAdded(['c0', 'c1', 'gone']));
  await store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone('c1') }));
  expect(selectChosenCards(store.getState()).map(({ uid }) => uid)).toEqual(['c0']);
  expect(selectIsChoosing(store.getState())).toBe(true);
});

for (const count of [3, cards.length]) {
  test(`${count} cards are tagged in one step, which is taken back as one`, async () => {
    const some = cards.slice(0, count);
    const { store } = await openWith(some);
    const change = await store.dispatch(
      changeMany({ cards: some, label: 'Tagged', change: (card) => withTag(card, 'press') }),
    );
    expect(change?.cards).toBe(count);
    expect(selectTags(store.getState())).toEqual([{ tag: 'press', count }]);
    await store.dispatch(undo());
    expect(store.getState().cards.byUid.values().flatMap(tagsOf)).toEqual([]);
    expect(store.getState().cards.byUid.uids()).toHaveLength(count);
  });
}

test('a list is a card of the book, found by name, and deleted cards stay on it for when they come back', async () => {
  const patrons = withMembers(newList('l', 'Patrons', now), ['c0', 'c1']);
  const { store } = await openWith([...cards.slice(0, 2), patrons, newList('k', 'Choir', now)]);
  expect(selectLists(store.getState()).map(({ uid }) => uid)).toEqual(['k', 'l']);
  await store.dispatch(
    changeMany({ cards: cards.slice(0, 1), label: 'Deleted', change: () => undefined, cause: 'delete' }),
  );
  await store.dispatch(undo());
  expect(selectLists(store.getState()).map(memberUids)).toEqual([[], ['c0', 'c1']]);
});
