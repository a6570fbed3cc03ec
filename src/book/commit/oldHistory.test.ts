// Records as the versions before this one wrote them, from their code.
import { openBook } from '@/book/openBook';
import { selectSteps } from '@/book/state';
import { KEYS } from '@/book/store';
import { MemoryStorage, openTestBook } from '@/book/testing';
import { newCard } from '@/core/card';

import { redo, undo } from './replay';

const ada = { ...newCard('ada', '2026-01-01T00:00:00Z'), name: { full: 'Ada Lowther' } };
const old = (id: string, more: object) =>
  JSON.stringify({ id, at: '2026-11-20T10:00:00Z', cause: 'edit', label: id, state: 'done', ...more });

test('steps kept whole become steps with pieces, and can be undone and redone as before', async () => {
  const storage = new MemoryStorage();
  const edits = [{ path: ['name', 'full'], before: 'Ada', after: 'Ada Lowther' }];
  const many = Array.from({ length: 450 }, (_, i) => ({ kind: 'add', uid: `x${i}` }));
  const talk = { id: 't', kind: 'call', direction: 'out', day: '2026-11-03', with: ['ada'], said: 'words' };
  for (const [id, more] of [
    ['1', { cards: [{ kind: 'edit', uid: 'ada', edits }] }],
    ['2', { cards: many, talks: [{ after: talk }], state: 'undone' }],
    [
      '3',
      {
        cards: [],
        sides: [{ kind: 'settings', edits: [{ key: 'sortBy', before: 'surname', after: 'given' }] }],
      },
    ],
  ] as const)
    storage.entries.set(`${KEYS.oldChange}${id}`, old(id, more));
  storage.entries.set(`${KEYS.oldChange}4`, '{"id":"4","ca');
  storage.entries.set(`${KEYS.card}ada`, JSON.stringify(ada));
  const { store } = openTestBook(storage);
  await store.dispatch(openBook());
  expect(
    selectSteps(store.getState()).map(({ id, cards, talks, pieces, state }) => [
      id,
      cards,
      talks,
      pieces,
      state,
    ]),
  ).toEqual([
    ['1', 1, 0, 1, 'done'],
    ['2', 450, 1, 4, 'undone'],
    ['3', 0, 0, 0, 'done'],
  ]);
  expect([...storage.entries.keys()].filter((key) => key.startsWith(KEYS.oldChange))).toEqual([]);
  expect(storage.entries.get(`${KEYS.aside}${KEYS.oldChange}4`)).toBe('{"id":"4","ca');
  await store.dispatch(undo('1'));
  expect(store.getState().cards.byUid.get('ada')?.name?.full).toBe('Ada');
  await store.dispatch(redo('1'));
  expect(store.getState().cards.byUid.get('ada')?.name?.full).toBe('Ada Lowther');
  await store.dispatch(undo('3'));
  expect(store.getState().settings.sortBy).toBe('surname');
});
