import { redo, undo } from '@/book/commit';
import { openBook } from '@/book/openBook';
import { openTestBook } from '@/book/testing';

import { changeSettingsUndoably } from './changeSettingsUndoably';

const settled = () => new Promise((resolve) => setTimeout(resolve));

async function open(nowMs: () => number) {
  const book = openTestBook(undefined, undefined, {
    ...{ nowMs, utcNow: () => new Date(nowMs()).toISOString() },
  });
  await book.store.dispatch(openBook());
  const set = async (...args: Parameters<typeof changeSettingsUndoably>) => {
    book.store.dispatch(changeSettingsUndoably(...args));
    await settled();
  };
  return { ...book, set, settings: () => book.store.getState().settings };
}

test('a setting is a step: taken back, made again, and kept as it is in the store', async () => {
  const now = 0;
  const { store, storage, writer, set, settings } = await open(() => now);
  const before = settings();
  await set('Colours', { scheme: 'dark' });
  expect(settings().scheme).toBe('dark');
  await store.dispatch(undo());
  expect(settings()).toEqual(before);
  await store.dispatch(redo());
  await writer.flush();
  expect(JSON.parse(storage.entries.get('settings') ?? '')).toEqual({ ...before, scheme: 'dark' });
});

test('what is set again at once is one step, later it is another, and the same value is none', async () => {
  let now = 0;
  const { store, set, settings } = await open(() => now);
  await set('How many', { quietCount: 1 });
  now += 1000;
  await set('How many', { quietCount: 12 });
  now += 60_000;
  await set('How many', { quietCount: 7 });
  await set('How many', { quietCount: 7 });
  expect(store.getState().history.steps).toHaveLength(2);
  await store.dispatch(undo());
  expect(settings().quietCount).toBe(12);
  await store.dispatch(undo());
  expect(settings().quietCount).toBe(4);
});

test('taking a step back leaves alone what else was set since', async () => {
  let now = 0;
  const { store, set, settings } = await open(() => now);
  await set('Colour of the tag press', { tagTones: { press: 3 } });
  const [first] = store.getState().history.steps;
  now += 60_000;
  await set('Colour of the tag patron', { tagTones: { press: 3, patron: 5 } });
  await store.dispatch(undo(first?.id));
  expect(settings().tagTones).toEqual({ patron: 5 });
});

test('a setting that is set back at once is set back, and each way can be taken back', async () => {
  let now = 0;
  const { store, set, settings } = await open(() => now);
  await set('Colours', { scheme: 'dark' });
  now += 500;
  await set('Colours', { scheme: 'system' });
  expect(settings().scheme).toBe('system');
  now += 500;
  await set('Colours', { scheme: 'dark' });
  expect(settings().scheme).toBe('dark');
  await store.dispatch(undo());
  expect(settings().scheme).toBe('system');
});
