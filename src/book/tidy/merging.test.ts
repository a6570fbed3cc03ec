import { changeBook, undo } from '@/book/commit';
import { putTalks } from '@/book/commit/changeTalks';
import { selectCardsByUid, selectShards, selectSteps, selectSummaries } from '@/book/state';
import { openTestBook, put } from '@/book/testing';
import { type Card, newCard, parseName } from '@/core/card';
import { newList, withMembers } from '@/core/lists';
import { type Talk } from '@/core/talks';

import { keepApart, mergeInBook, unmerge } from './mergeInBook';

const AT = '2026-01-01T00:00:00Z';
const card = (uid: string, full: string, more: Partial<Card> = {}): Card => {
  const name = parseName(full);
  return { ...newCard(uid, AT), ...(name ? { name } : {}), ...more };
};
const talk = (id: string, who: string[]): Talk => ({
  ...{ id, kind: 'call', day: '2026-10-05', direction: 'out', with: who, said: '' },
});

async function bookWithDuplicates() {
  const book = openTestBook();
  const full = card('a', 'Bo Lars Ek', {
    emails: { e1: { address: 'bo@example.org' } },
    notes: { o1: { note: 'Plays the viola' } },
  });
  const duplicate = card('b', 'B. Ek', { phones: { p1: { number: '+44 7700 900123' } } });
  const list = withMembers(newList('l', 'Players', AT), ['b']);
  const friend = card('f', 'Cy Dee', { relatedTo: { b: { relation: { friend: true } } } });
  await book.store.dispatch(
    changeBook({ cause: 'add', label: '', edits: put(full, duplicate, list, friend) }),
  );
  await book.store.dispatch(putTalks([{ after: talk('1', ['a']) }, { after: talk('2', ['b', 'f']) }]));
  const cards = () => selectCardsByUid(book.store.getState());
  const countOf = (uid: string) => selectSummaries(book.store.getState()).get(uid)?.count;
  return { ...book, cards, countOf };
}

test('merging keeps everything: values, lists, relations, talks; one undo brings both back', async () => {
  const { store, cards, countOf } = await bookWithDuplicates();
  const change = await store.dispatch(mergeInBook([['b', 'a']]));
  await store.dispatch(putTalks([]));
  expect(change?.label).toBe('Merged 2 cards into Bo Lars Ek');
  expect(cards().get('b')).toBeUndefined();
  expect(cards().get('a')).toMatchObject({
    emails: { e1: { address: 'bo@example.org' } },
    phones: { p1: { number: '+44 7700 900123' } },
    'cordialis.example:was': { b: change?.id },
  });
  expect(cards().get('l')?.members).toEqual({ a: true });
  expect(Object.keys(cards().get('f')?.relatedTo ?? {})).toEqual(['a']);
  expect([countOf('a'), countOf('b'), countOf('f')]).toEqual([2, undefined, 1]);
  await store.dispatch(undo(change?.id));
  await store.dispatch(putTalks([]));
  expect(cards().get('b')?.phones).toEqual({ p1: { number: '+44 7700 900123' } });
  expect(cards().get('a')?.phones).toBeUndefined();
  expect(cards().get('l')?.members).toEqual({ b: true });
  expect([countOf('a'), countOf('b')]).toEqual([1, 1]);
});

test('a merge is taken back later on, and what was edited since stays', async () => {
  const { store, cards, writer } = await bookWithDuplicates();
  await store.dispatch(mergeInBook([['a', 'b']]));
  const merged = cards().get('a') as Card;
  const edited = { ...merged, emails: { e1: { address: 'new@example.org' } } };
  await store.dispatch(changeBook({ cause: 'edit', label: '', edits: put(edited) }));
  await writer.flush();
  await store.dispatch(unmerge(merged['cordialis.example:was']?.['b'] ?? ''));
  expect(cards().get('a')?.emails).toEqual({ e1: { address: 'new@example.org' } });
  expect(cards().get('a')?.phones).toBeUndefined();
  expect(cards().get('b')?.phones).toEqual({ p1: { number: '+44 7700 900123' } });
});

test('a merge is taken back with more than three hundred newer steps at hand', async () => {
  const { store, cards } = await bookWithDuplicates();
  await store.dispatch(mergeInBook([['a', 'b']]));
  const step = cards().get('a')?.['cordialis.example:was']?.['b'] ?? '';
  for (let i = 0; i < 310; i += 1)
    await store.dispatch(
      changeBook({
        cause: 'edit',
        label: `${i}`,
        edits: put({ ...(cards().get('l') as Card), created: `${2000 + i}` }),
      }),
    );
  await store.dispatch(unmerge(step));
  expect(cards().get('b')?.phones).toEqual({ p1: { number: '+44 7700 900123' } });
});

test('a talk edited after a merge stays edited when that is taken back, is with whom it was, and stands once', async () => {
  const { store, countOf, writer, storage } = await bookWithDuplicates();
  await store.dispatch(mergeInBook([['a', 'b']]));
  const shards = () => Object.values(selectShards(store.getState())).flat();
  const before = shards().find((talk) => talk.with.length === 1) as Talk;
  const after = { ...before, day: '2025-02-03', said: 'moved and put otherwise' };
  await store.dispatch(changeBook({ cause: 'edit', label: '', talks: [{ before, after }] }));
  const [, merge] = selectSteps(store.getState()).slice(-3);
  await store.dispatch(undo(merge?.cause === 'merge' ? merge.id : selectSteps(store.getState()).at(-2)?.id));
  await writer.flush();
  const stored = [...storage.entries]
    .filter(([key]) => key.startsWith('talks:'))
    .flatMap(([, text]) => JSON.parse(text) as Talk[]);
  expect(stored.filter(({ id }) => id === before.id)).toMatchObject([
    { day: '2025-02-03', said: after.said },
  ]);
  expect([countOf('a'), countOf('b')]).toEqual([1, 1]);
});

test('several groups go in one step, and cards kept apart name each other', async () => {
  const { store, cards } = await bookWithDuplicates();
  const more = [card('x', 'Oona Tarrow'), card('y', 'Oona Tarrow')];
  await store.dispatch(changeBook({ cause: 'add', label: '', edits: put(...more) }));
  const change = await store.dispatch(
    mergeInBook([
      ['a', 'b'],
      ['x', 'y'],
    ]),
  );
  expect(change?.label).toBe('Merged 4 cards into 2');
  await store.dispatch(undo(change?.id));
  expect(cards().size).toBe(6);
  await store.dispatch(keepApart(['x', 'y']));
  expect(cards().get('x')?.['cordialis.example:apart']).toEqual({ y: true });
  expect(cards().get('y')?.['cordialis.example:apart']).toEqual({ x: true });
});
