import fc from 'fast-check';

import { type Card, newCard } from '@/core/card';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { chooseValues, importValues } from './importValues';

const ada: Card = {
  ...newCard('ada', '2026-01-01T00:00:00Z'),
  name: { full: 'Ada Lowther' },
  emails: { e1: { address: 'ada@old.example' } },
  keywords: { press: true },
};
const merged: Card = {
  ...ada,
  updated: '2026-11-29T00:00:00Z',
  name: { full: 'Ada M. Lowther' },
  emails: { e1: { address: 'ada@new.example' }, e2: { address: 'ada@home.example' } },
  keywords: { press: true, patrons: true },
};

test('an entry is one value, so is a name; the date of writing is none', () => {
  expect(importValues(ada, merged)).toEqual([
    { id: 'name', what: 'name', now: ada.name, file: merged.name, isConflict: true, isEntry: false },
    {
      ...{ id: 'emails/e1', what: 'mail', now: { address: 'ada@old.example' } },
      ...{ file: { address: 'ada@new.example' }, isConflict: true, isEntry: true },
    },
    {
      id: 'emails/e2',
      what: 'mail',
      now: undefined,
      file: { address: 'ada@home.example' },
      isConflict: false,
      isEntry: true,
    },
    { id: 'keywords/patrons', what: 'tags', now: undefined, file: true, isConflict: false, isEntry: false },
  ]);
});

test('what is not taken stays as it is in the book, to the value', () => {
  const kept = chooseValues(ada, merged, ({ isConflict }) => (isConflict ? 'mine' : 'file'));
  expect([kept.name, kept.emails, kept.keywords]).toEqual([
    ada.name,
    { e1: { address: 'ada@old.example' }, e2: { address: 'ada@home.example' } },
    { press: true, patrons: true },
  ]);
});

test('both are kept where they can stand beside each other', () => {
  const kept = chooseValues(ada, merged, ({ isConflict }) => (isConflict ? 'both' : 'file'));
  expect([kept.name, Object.values(kept.emails ?? {}).map(({ address }) => address)]).toEqual([
    ada.name,
    ['ada@old.example', 'ada@home.example', 'ada@new.example'],
  ]);
});

test('law: all values give the merged card, none the book’s, and each is taken or left by itself', () => {
  fc.assert(
    fc.property(arbitraryCard, arbitraryCard, fc.func(fc.boolean()), (one, other, choose) => {
      const now: Card = { ...one, uid: 'a', created: 'c', updated: 'u', prodId: 'p' };
      const file: Card = {
        ...other,
        uid: 'a',
        created: 'c',
        updated: 'u',
        prodId: 'p',
        version: now.version,
      };
      expect(chooseValues(now, file, () => 'file')).toEqual(file);
      expect(
        importValues(
          chooseValues(now, file, () => 'mine'),
          now,
        ),
      ).toEqual([]);
      const values = importValues(now, file);
      const taken = new Set(values.filter(({ id }) => choose(id)).map(({ id }) => id));
      const chosen = chooseValues(now, file, ({ id }) => (taken.has(id) ? 'file' : 'mine'));
      expect(new Set(importValues(now, chosen).map(({ id }) => id))).toEqual(taken);
    }),
    { numRuns: 200 },
  );
});
