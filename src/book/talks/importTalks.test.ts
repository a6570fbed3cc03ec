/** @jest-environment node */
import { keepAsItIs, readAllTalks, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { selectSteps, selectSummaries, selectUnfinished } from '@/book/state';
import { closedAnywhere, type EndingStorage, type MemoryStorage, openTestBook } from '@/book/testing';
import { newCard } from '@/core/card';
import type { Talk } from '@/core/talks';

import { importTalks, type ReadMail } from './importTalks';

const ADA = { ...newCard('ada', '2026-01-01T00:00:00Z'), name: { full: 'Ada Lowther' } };
const MONTHS = ['2026-08', '2026-09', '2026-10'];
const talksOf = (month: string, intake: string): Talk[] =>
  ['03', '17'].map((day) => ({
    ...{ id: `${month}-${day}`, kind: 'mail', day: `${month}-${day}`, direction: 'in', with: ['ada'] },
    ...{ said: '', intake },
  }));
const REPORT = {
  messages: 6,
  appointments: 0,
  talks: 6,
  unfiled: [],
  meetings: [],
  signatures: [],
  problems: [],
};

/** A reader that finds two talks in each month, and at a month of choice something that is no mail. */
const reading =
  (faultAt?: string): ReadMail =>
  (_, { intake }, onTalks) => ({
    stop: () => undefined,
    result: (async () => {
      for (const month of MONTHS) {
        if (month === faultAt) throw new Error('there is no message in it');
        await onTalks(month, talksOf(month, intake));
      }
      return REPORT;
    })(),
  });

const options = {
  ...{ source: 'letters.mbox', withTexts: true },
  ...{ onProgress: () => undefined, onJob: () => undefined },
};

async function opened(storage?: MemoryStorage) {
  const book = openTestBook(storage, storage ? [] : [ADA]);
  const { dispatch, getState } = book.store;
  await dispatch(openBook());
  return {
    ...book,
    import: (faultAt?: string) => dispatch(importTalks([], options, reading(faultAt))),
    talks: async () => (await dispatch(readAllTalks())).length,
    counted: () => selectSummaries(getState()).get('ada')?.count ?? 0,
    unfinished: () => selectUnfinished(getState()),
  };
}

async function closedWhileImporting(check: (book: Awaited<ReturnType<typeof opened>>) => Promise<void>) {
  const start = await opened();
  await start.writer.flush();
  const work = async (storage: EndingStorage, writes: number) => {
    const book = await opened(storage);
    storage.left = writes;
    await book.import();
    await book.writer.flush();
  };
  return closedAnywhere(start.storage.entries, work, async (storage) => check(await opened(storage)));
}

test('an import of talks whose page was closed is named with what came; the same file adds what is missing', async () => {
  const counts = new Set<number>();
  await closedWhileImporting(async (book) => {
    const [step] = book.unfinished();
    const came = await book.talks();
    if (!step) return expect([0, 6]).toContain(came);
    counts.add(step.talks);
    expect(step.label).toBe('Imported talks from letters.mbox');
    // A month that has just been written may not be counted yet.
    expect([step.talks, step.talks + 2]).toContain(came);
    await book.store.dispatch(keepAsItIs(step));
    expect(book.unfinished()).toEqual([]);
    const { added } = await book.import();
    expect([came + added, await book.talks(), book.counted()]).toEqual([6, 6, 6]);
  });
  expect([...counts].sort()).toEqual([0, 2, 4, 6]);
});

test('or it is undone as far as it came', async () => {
  await closedWhileImporting(async (book) => {
    const [step] = book.unfinished();
    if (!step) return;
    await book.store.dispatch(undo(step.id));
    await book.writer.flush();
    expect([await book.talks(), book.counted(), book.unfinished()]).toEqual([0, 0, []]);
  });
});

test('one that fails half-way leaves nothing, and one that ends is a step with all its talks', async () => {
  const book = await opened();
  await expect(book.import('2026-10')).rejects.toThrow('there is no message in it');
  // It is undone in its turn.
  for (let turn = 0; turn < 50; turn += 1) await new Promise((resolve) => setTimeout(resolve, 0));
  expect([await book.talks(), book.unfinished()]).toEqual([0, []]);
  await book.import();
  const last = selectSteps(book.store.getState()).at(-1);
  expect([last?.state, last?.talks, last?.todo, await book.talks()]).toEqual(['done', 6, undefined, 6]);
  await book.store.dispatch(undo());
  expect(await book.talks()).toBe(0);
});
