import { changeBook, changeInBatches, changeSettings, commit, newStep, redo, undo } from '@/book/commit';
import { importCards, previewImport } from '@/book/formats';
import { toCardChanges } from '@/book/history';
import { selectBookList } from '@/book/state';
import { readCardNow } from '@/book/state/readCardNow';
import { type Card, newCard, parseName } from '@/core/card';
import type { Talk } from '@/core/talks';

import { openBook } from './openBook';
import { gone, MemoryStorage, openTestBook, put } from './testing';

function cardOf(name: string, more: Partial<Card> = {}): Card {
  const parsed = parseName(name);
  return { ...newCard(`uid-${name}`, '2026-01-01T00:00:00Z'), ...(parsed ? { name: parsed } : {}), ...more };
}

const ada = cardOf('Ada Lowther', { phones: { p1: { number: '1' } } });
const bo = cardOf('Bo Ek');
const add = (...cards: Card[]) => changeBook({ cause: 'add', label: 'Added', edits: put(...cards) });
const phone = (card: Card | undefined, id = 'p1') => card?.phones?.[id]?.number;

test('what is changed is in the store after a write, a key a card, and a new page finds it', async () => {
  const first = openTestBook();
  await first.store.dispatch(openBook());
  await first.store.dispatch(add(ada, bo));
  expect(first.store.getState().status.saving.kind).toBe('saving');
  await first.writer.flush();
  expect(first.store.getState().status.saving.kind).toBe('saved');
  expect([...first.storage.entries.keys()].filter((key) => key.startsWith('card:'))).toHaveLength(2);
  const second = openTestBook(first.storage);
  await second.store.dispatch(openBook());
  expect(second.store.getState().cards.byUid).toEqual(first.store.getState().cards.byUid);
  expect(second.store.getState().history.steps).toHaveLength(1);
});

test('a write that fails is never called saved, and is made good by the next', async () => {
  const { store, storage, writer } = openTestBook();
  storage.fails = true;
  await store.dispatch(openBook());
  storage.fails = false;
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  storage.fails = true;
  await writer.flush();
  expect(store.getState().status.saving).toEqual({ kind: 'failed', message: 'the disk is full' });
  expect(writer.isBusy).toBe(true);
  storage.fails = false;
  await writer.flush();
  expect(store.getState().status.saving.kind).toBe('saved');
  expect(storage.entries.has('card:uid-Ada Lowther')).toBe(true);
});

test('only what changed is written', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada, bo));
  await writer.flush();
  storage.entries.set('card:uid-Bo Ek', 'untouched');
  await store.dispatch(
    changeBook({ cause: 'edit', label: 'Edited', edits: put({ ...ada, phones: { p1: { number: '2' } } }) }),
  );
  await writer.flush();
  expect(storage.entries.get('card:uid-Bo Ek')).toBe('untouched');
});

test('every change can be taken back and made again, also after a reload', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  await store.dispatch(
    changeBook({ cause: 'edit', label: 'Edited', edits: put({ ...ada, phones: { p1: { number: '2' } } }) }),
  );
  await store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone(ada.uid) }));
  await writer.flush();
  const again = openTestBook(storage);
  await again.store.dispatch(openBook());
  const now = () => again.store.getState().cards.byUid.get(ada.uid);
  expect(now()).toBeUndefined();
  await again.store.dispatch(undo());
  expect(phone(now())).toBe('2');
  await again.store.dispatch(undo());
  expect(phone(now())).toBe('1');
  await again.store.dispatch(undo());
  expect(now()).toBeUndefined();
  await again.store.dispatch(redo());
  await again.store.dispatch(redo());
  expect(phone(now())).toBe('2');
  await again.store.dispatch(redo());
  expect(now()).toBeUndefined();
});

test('undoing an earlier change leaves newer values alone and says so', async () => {
  const { store } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add({ ...ada, phones: { p1: { number: '1' }, p2: { number: '1' } } }));
  const edit = (p1: string, p2: string) =>
    store.dispatch(
      changeBook({
        cause: 'edit',
        label: 'Edited',
        edits: put({ ...ada, phones: { p1: { number: p1 }, p2: { number: p2 } } }),
      }),
    );
  const change = await edit('2', '2');
  await edit('3', '2');
  await store.dispatch(undo(change?.id));
  const card = store.getState().cards.byUid.get(ada.uid);
  expect([phone(card, 'p1'), phone(card, 'p2')]).toEqual(['3', '1']);
  expect(store.getState().status.notices[0]?.text).toMatch(/newer value/);
});

test('saving a card without a change is no change', async () => {
  const { store } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  expect(
    await store.dispatch(changeBook({ cause: 'edit', label: 'Edited', edits: put(ada) })),
  ).toBeUndefined();
  expect(store.getState().history.steps).toHaveLength(1);
});

test('two pages that change different values of one card do not overwrite each other', async () => {
  const storage = new MemoryStorage();
  const [one, two] = [openTestBook(storage), openTestBook(storage)];
  await one.store.dispatch(openBook());
  await one.store.dispatch(add(ada));
  await one.writer.flush();
  await two.store.dispatch(openBook());
  const edit = (more: Partial<Card>) =>
    changeBook({ cause: 'edit', label: 'Edited', edits: put({ ...ada, ...more }) });
  await one.store.dispatch(edit({ phones: { p1: { number: '2' } } }));
  await two.store.dispatch(edit({ nicknames: { n1: { name: 'Addie' } } }));
  await one.writer.flush();
  await two.writer.flush();
  const stored = JSON.parse(storage.entries.get(`card:${ada.uid}`) ?? '') as Card;
  expect([phone(stored), stored.nicknames?.['n1']?.name]).toEqual(['2', 'Addie']);
  expect(phone(two.store.getState().cards.byUid.get(ada.uid))).toBe('2');
});

test('a damaged record is set aside with its text and reported, and the rest opens', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada, bo));
  await writer.flush();
  storage.entries.set(`card:${bo.uid}`, '{"half');
  const again = openTestBook(storage);
  await again.store.dispatch(openBook());
  expect(again.store.getState().cards.byUid.uids()).toEqual([ada.uid]);
  expect(again.store.getState().status.setAside).toEqual([`card:${bo.uid}: no JSON`]);
  expect(storage.entries.get(`aside:card:${bo.uid}`)).toBe('{"half');
});

test('a book of a newer version is not touched', async () => {
  const storage = new MemoryStorage();
  storage.entries.set('schema', '99');
  const { store } = openTestBook(storage);
  await store.dispatch(openBook());
  expect(store.getState().status.openFault).toMatch(/newer version/);
  expect(storage.writes).toBe(0);
});

test('the demo begins with its cards, once', async () => {
  const storage = new MemoryStorage();
  await openTestBook(storage, [ada]).store.dispatch(openBook());
  const again = openTestBook(storage, [ada, bo]);
  await again.store.dispatch(openBook());
  expect(again.store.getState().cards.byUid.uids()).toEqual([ada.uid]);
});

test('photos lie under keys of their own, and the same photo once', async () => {
  const { store, storage, services } = openTestBook();
  await store.dispatch(openBook());
  const uri = `data:image/png;base64,${'A'.repeat(400)}`;
  const media = { m1: { kind: 'photo', uri } };
  await store.dispatch(add({ ...ada, media }, { ...bo, media }));
  await services.writer.flush();
  const blobId = store.getState().cards.byUid.get(ada.uid)?.media?.['m1']?.blobId ?? '';
  expect(store.getState().cards.byUid.get(ada.uid)?.media?.['m1']?.uri).toBeUndefined();
  expect([...storage.entries.keys()].filter((key) => key.startsWith('photo:'))).toEqual([`photo:${blobId}`]);
  expect(await services.photos.get(blobId)).toBe(uri);
});

test('an import is one step, counts what is there already, and undoes as one', async () => {
  const { store } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  const incoming = [ada, { ...ada, uid: 'x' }, bo];
  const preview = await store.dispatch(previewImport(incoming));
  expect([preview.fresh.length, preview.same.length, preview.different.length]).toEqual([2, 1, 0]);
  await store.dispatch(importCards(preview.fresh, 'a.vcf'));
  expect(store.getState().cards.byUid.uids()).toHaveLength(3);
  await store.dispatch(undo());
  expect(store.getState().cards.byUid.uids()).toEqual([ada.uid]);
});

test('the list has a letter over the names under it, in the order set, organisations apart when asked', async () => {
  const { store } = openTestBook();
  await store.dispatch(openBook());
  const org = cardOf('Brine & Bellows', { kind: 'org' });
  await store.dispatch(add(ada, bo, org, cardOf('Piet van Dijk')));
  const shown = (filter: 'all' | 'people' | 'organisations') =>
    selectBookList(store.getState(), filter).items.map((item) =>
      item.kind === 'letter' ? item.letter : item.uid.slice(4),
    );
  expect(shown('all')).toEqual([
    'B',
    'Brine & Bellows',
    'D',
    'Piet van Dijk',
    'E',
    'Bo Ek',
    'L',
    'Ada Lowther',
  ]);
  expect(shown('organisations')).toEqual(['B', 'Brine & Bellows']);
  store.dispatch(changeSettings({ particlesCount: true }));
  expect(shown('people')).toEqual(['E', 'Bo Ek', 'L', 'Ada Lowther', 'V', 'Piet van Dijk']);
  store.dispatch(changeSettings({ sortBy: 'given' }));
  expect(shown('people')).toEqual(['A', 'Ada Lowther', 'B', 'Bo Ek', 'P', 'Piet van Dijk']);
});

test('archived and group cards have no row', async () => {
  const { store } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add({ ...ada, 'cordialis.example:archived': true }, { ...bo, kind: 'group' }));
  expect(store.getState().rows.order).toEqual([]);
});

test('a card that was just deleted is not read again from the store that still has it', async () => {
  const { store, storage } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  storage.entries.set(`card:${ada.uid}`, JSON.stringify(ada));
  await store.dispatch(changeBook({ cause: 'delete', label: 'Deleted', edits: gone(ada.uid) }));
  expect(await store.dispatch(readCardNow(ada.uid))).toBeUndefined();
  expect(store.getState().cards.byUid.get(ada.uid)).toBeUndefined();
});

test('a private card that went through a table and back keeps its photo, relations, rhythm and privacy', async () => {
  const { store, writer, services } = openTestBook();
  await store.dispatch(openBook());
  const uri = `data:image/png;base64,${'A'.repeat(400)}`;
  const whole: Card = {
    ...ada,
    phones: { p1: { number: 'tel:+442079460123', contexts: { work: true } } },
    media: { m1: { kind: 'photo', uri } },
    relatedTo: { [bo.uid]: { relation: { friend: true } } },
    'cordialis.example:private': true,
    'cordialis.example:rhythm': { every: 2, unit: 'week' },
  };
  await store.dispatch(changeBook({ cause: 'add', label: 'Added', edits: put(whole, bo) }));
  const before = store.getState().cards.byUid.get(ada.uid);
  // As a table has it: no photo, no relations, a number written otherwise, one more, the name put right.
  const file: Card = {
    ...{ '@type': 'Card', version: '1.0', uid: ada.uid, kind: 'individual' },
    name: { full: 'Ada Lowther-Ek' },
    phones: { p1: { number: '020 7946 0123', contexts: { work: true } }, p2: { number: '+47 55 55 01 02' } },
  };
  const preview = await store.dispatch(previewImport([file]));
  expect(preview.different).toHaveLength(1);
  await store.dispatch(importCards([file], 'friends.csv'));
  await writer.flush();
  const after = store.getState().cards.byUid.get(ada.uid);
  expect(after).toMatchObject({
    phones: { p1: before?.phones?.['p1'], p2: { number: '+47 55 55 01 02' } },
    media: before?.media,
    relatedTo: before?.relatedTo,
    'cordialis.example:private': true,
    'cordialis.example:rhythm': { every: 2, unit: 'week' },
  });
  expect(after?.name?.full).toBe('Ada Lowther-Ek');
  expect(await services.photos.get(before?.media?.['m1']?.blobId ?? '')).toBe(uri);
  // What says nothing more is the same.
  expect((await store.dispatch(previewImport([file]))).same).toHaveLength(1);
  await store.dispatch(importCards([file], 'friends.csv', { isReplacing: true }));
  const replaced = store.getState().cards.byUid.get(ada.uid);
  expect([replaced?.media, replaced?.['cordialis.example:private']]).toEqual([undefined, true]);
});

test('a step that was undone and then dropped is not made again after a reload', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  await store.dispatch(undo());
  await store.dispatch(add(bo));
  await store.dispatch(undo());
  await writer.flush();
  // Only the later step can be made again: the earlier one was dropped by it.
  const later = openTestBook(storage);
  await later.store.dispatch(openBook());
  await later.store.dispatch(redo());
  expect(later.store.getState().cards.byUid.uids()).toEqual([bo.uid]);
});

test('what a device did is not what Undo takes back, and leaves what can be made again', async () => {
  const { store, services } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  await store.dispatch(add(bo));
  await store.dispatch(undo());
  const after = { ...ada, nicknames: { n1: { name: 'Phone' } } };
  const [before] = store.getState().cards.byUid.values();
  const at = services.utcNow();
  const step = newStep(services, { cause: 'sync', label: 'Phone: changed', at });
  const pairs = [{ before, after }];
  store.dispatch(commit(step, { cards: toCardChanges(pairs) }, pairs));
  await store.dispatch(redo());
  expect(store.getState().cards.byUid.uids().toSorted()).toEqual([ada.uid, bo.uid].toSorted());
  await store.dispatch(undo());
  expect(store.getState().cards.byUid.values()).toEqual([after]);
});

test('a month of talks that can’t be read is set aside before anything is written into it', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  storage.entries.set('talks:2026-11', '[{"id":"t1","cut o');
  const talk: Talk = {
    id: 't2',
    kind: 'call',
    direction: 'out',
    day: '2026-11-03',
    with: [ada.uid],
    said: 'new',
  };
  await store.dispatch(changeBook({ cause: 'edit', label: 'Noted', talks: [{ after: talk }] }));
  await writer.flush();
  expect(storage.entries.get('aside:talks:2026-11')).toBe('[{"id":"t1","cut o');
  expect(JSON.parse(storage.entries.get('talks:2026-11') ?? '')).toMatchObject([{ id: 't2' }]);
  expect(store.getState().status.setAside).toEqual(['talks:2026-11']);
});

test('a long change that changes nothing leaves the book saved', async () => {
  const { store, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  await writer.flush();
  expect(
    await store.dispatch(changeInBatches({ cause: 'edit', label: '', edits: put(ada) })),
  ).toBeUndefined();
  await writer.flush();
  expect(store.getState().status.saving.kind).toBe('saved');
});

test('a long change drops what had been undone, after a reload as well', async () => {
  const { store, storage, writer } = openTestBook();
  await store.dispatch(openBook());
  await store.dispatch(add(ada));
  await store.dispatch(undo());
  await store.dispatch(changeInBatches({ cause: 'add', label: 'Added', edits: put(bo) }));
  await store.dispatch(undo());
  await writer.flush();
  // Only the later step can be made again: the earlier one was dropped by it.
  const later = openTestBook(storage);
  await later.store.dispatch(openBook());
  await later.store.dispatch(redo());
  expect(later.store.getState().cards.byUid.uids()).toEqual([bo.uid]);
});
