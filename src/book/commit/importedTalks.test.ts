import { selectShards, selectSummaries } from '@/book/state';
import { KEYS } from '@/book/store';
import { openTestBook } from '@/book/testing';
import { summarise, type Talk } from '@/core/talks';

import { changeBook, newStep } from './changeBook';
import { putTalks, readShards } from './changeTalks';
import { storeTalks } from './importedTalks';
import { undo } from './replay';

const talk = (id: string, day: string, more: Partial<Talk> = {}): Talk => ({
  ...{ id, kind: 'mail', day, direction: 'out', with: ['a'], said: '', intake: 'x' },
  ...more,
});
const october = [talk('1', '2026-10-05'), talk('2', '2026-10-20', { with: ['a', 'b'], direction: 'in' })];
const stored = async (book: ReturnType<typeof openTestBook>, month: string) =>
  (JSON.parse((await book.storage.getItem(`${KEYS.talks}${month}`)) ?? '[]') as Talk[]).map(({ id }) => id);

test('talks of an import go into the store with what is kept of them, and into memory only where it looks', async () => {
  const book = openTestBook();
  expect(await book.store.dispatch(storeTalks('2026-10', october))).toHaveLength(2);
  expect(await stored(book, '2026-10')).toEqual(['1', '2']);
  expect(selectShards(book.store.getState())).toEqual({});
  const summary = selectSummaries(book.store.getState()).get('a');
  expect(summary).toEqual(summarise(october));
  expect(JSON.parse((await book.storage.getItem(`${KEYS.summary}a`)) ?? '')).toEqual(summary);
});

test('reading the same again adds nothing and counts nothing twice', async () => {
  const book = openTestBook();
  await book.store.dispatch(storeTalks('2026-10', october));
  expect(
    await book.store.dispatch(storeTalks('2026-10', [...october, talk('3', '2026-10-21')])),
  ).toHaveLength(1);
  expect(selectSummaries(book.store.getState()).get('a')?.count).toBe(3);
});

test('undo takes the talks of one import away, those of others and those noted by hand stay', async () => {
  const book = openTestBook();
  const byHand = talk('hand', '2026-10-06');
  const { intake: _, ...noted } = byHand;
  await book.store.dispatch(putTalks([{ after: noted }]));
  await book.store.dispatch(storeTalks('2026-10', october));
  await book.store.dispatch(storeTalks('2026-11', [talk('other', '2026-11-02', { intake: 'y' })]));
  await book.store.dispatch(readShards(['2026-10']));
  const at = '2026-11-25T10:00:00Z';
  const step = newStep(book.services, { cause: 'import', label: '', intake: 'x', at });
  const change = await book.store.dispatch(
    changeBook({ cause: 'import', label: 'Took in', completes: step }),
  );
  await book.store.dispatch(undo(change?.id));
  // Whatever is waiting comes after it.
  await book.store.dispatch(putTalks([]));
  await book.writer.flush();
  expect(await stored(book, '2026-10')).toEqual(['hand']);
  expect(await stored(book, '2026-11')).toEqual(['other']);
  expect(selectShards(book.store.getState())['2026-10']?.map(({ id }) => id)).toEqual(['hand']);
  const summaries = selectSummaries(book.store.getState());
  expect([summaries.get('a')?.count, summaries.get('b')]).toEqual([2, undefined]);
});
