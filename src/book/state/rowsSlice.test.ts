import fc from 'fast-check';

import type { Step } from '@/book/history';
import { type Card, newCard, parseName } from '@/core/card';

import { bookChanged, cardsArrived } from './actions';
import { type RowFilter, rowsReducer, rowsReordered, selectBookList } from './rowsSlice';

const reducer = rowsReducer;
const stateOf = (rows: ReturnType<typeof reducer>) => ({ rows });

function cardOf(uid: string, name: string, isOrg = false): Card {
  const parsed = isOrg ? { full: name } : parseName(name);
  return {
    ...newCard(uid, '2026-01-01T00:00:00Z'),
    ...(isOrg ? { kind: 'org' } : {}),
    ...(parsed ? { name: parsed } : {}),
  };
}

const names = [
  'Ada Lowther',
  'Åsa Öberg',
  'Bo Ek',
  'Piet van Dijk',
  '田中 陽子',
  'Łukasz Żak',
  'Zoë',
  'ada lowther',
  'Jean-Luc Lévêque',
  'Ødegård',
  '3 Tenors',
];
const arbitraryCard = fc
  .record({ uid: fc.constantFrom(...'abcdefgh'), name: fc.constantFrom(...names), isOrg: fc.boolean() })
  .map(({ uid, name, isOrg }) => cardOf(uid, name, isOrg));
const step = fc.oneof(
  fc
    .array(arbitraryCard, { minLength: 1, maxLength: 4 })
    .map((upserts) => ({ upserts, removed: [] as string[] })),
  fc.constantFrom(...'abcdefgh').map((uid) => ({ upserts: [] as Card[], removed: [uid] })),
);
const nothing = { cards: 0, talks: 0, pieces: 0, size: 0 };
const done: Step = { id: '1', at: '', cause: 'edit', label: '', ...nothing, state: 'done' };

test('rows put in one by one stand as if all had been sorted together', () => {
  fc.assert(
    fc.property(fc.array(step, { maxLength: 12 }), (steps) => {
      const cards = new Map<string, Card>();
      let rows = reducer(undefined, { type: 'start' });
      for (const { upserts, removed } of steps) {
        for (const card of upserts) cards.set(card.uid, card);
        for (const uid of removed) cards.delete(uid);
        // The last of several with one uid is the one that counts, as in the book.
        const last = [...new Map(upserts.map((card) => [card.uid, card])).values()];
        rows = reducer(rows, bookChanged({ upserts: last, removed, step: done }));
      }
      const anew = reducer(undefined, rowsReordered({ settings: rows.settings, cards: [...cards.values()] }));
      expect(rows.order).toEqual(anew.order);
      expect(rows.byUid).toEqual(anew.byUid);
    }),
    { numRuns: 200 },
  );
});

test('the list holds every row once, each under its own letter, and the shares add up', () => {
  fc.assert(
    fc.property(
      fc.array(arbitraryCard, { maxLength: 8 }),
      fc.constantFrom<RowFilter>('all', 'people', 'organisations'),
      (cards, filter) => {
        const last = [...new Map(cards.map((card) => [card.uid, card])).values()];
        const rows = reducer(undefined, cardsArrived({ upserts: last, removed: [] }));
        const { items, letters } = selectBookList(stateOf(rows), filter);
        const wanted = last.filter(
          ({ kind }) => filter === 'all' || (kind === 'org') === (filter === 'organisations'),
        );
        const shown = items.flatMap((item) => (item.kind === 'row' ? [item.uid] : []));
        expect([...shown].sort()).toEqual(wanted.map(({ uid }) => uid).sort());
        expect(letters.reduce((sum, { count }) => sum + count, 0)).toBe(shown.length);
        for (const { letter, index } of letters) expect(items[index]).toEqual({ kind: 'letter', letter });
      },
    ),
  );
});

test('a row stays the very same object while what it shows stays the same', () => {
  const before = reducer(
    undefined,
    cardsArrived({ upserts: [cardOf('a', 'Ada Lowther'), cardOf('b', 'Bo Ek')], removed: [] }),
  );
  const noted = { ...cardOf('a', 'Ada Lowther'), notes: { o1: { note: 'not on the row' } } };
  const after = reducer(before, bookChanged({ upserts: [noted], removed: [], step: done }));
  expect(after.byUid.get('a')).toBe(before.byUid.get('a'));
  expect(after.order).toBe(before.order);
});
