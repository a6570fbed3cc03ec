// What may not get lost in a merge is common practice; numbers are of ranges kept for fiction (Ofcom).
import fc from 'fast-check';

import { type Card, newCard, parseCard, parseName, UNITED } from '@/core/card';

import { arbitraryCard } from '../../../../test/unit/arbitraryCard';
import { lostLeaves } from '../../../../test/unit/lostLeaves';
import { mergeCards } from './mergeCards';
import { fullestFirst } from './mergeGroups';

const card = (uid: string, full: string, more: Partial<Card> = {}): Card => {
  const name = parseName(full);
  return { ...newCard(uid, '2026-01-01T00:00:00Z'), ...(name ? { name } : {}), ...more };
};
const born = (year: number | undefined, month: number, day: number): Partial<Card> => ({
  anniversaries: { d1: { kind: 'birth', date: { ...(year === undefined ? {} : { year }), month, day } } },
});
const notesOf = (one: Card) => Object.values(one.notes ?? {}).map(({ note }) => note);

test('the same number written in two ways is one, in its better writing, for all that either says of it', () => {
  const mine = card('a', 'Bo Ek', {
    phones: { p1: { number: '07700 900123', contexts: { work: true }, pref: 1 } },
  });
  const theirs = card('b', 'Bo Ek', {
    phones: { p1: { number: '+44 7700 900123', features: { mobile: true }, contexts: { private: true } } },
  });
  expect(mergeCards([mine, theirs], { country: 'GB' }).phones).toEqual({
    p1: {
      number: '+44 7700 900123',
      contexts: { work: true, private: true },
      features: { mobile: true },
      pref: 1,
    },
  });
});

test('entries that differ stay beside each other, and a title stays with its organisation', () => {
  const mine = card('a', 'Bo Ek', { organizations: { g1: { name: 'Quay Strings' } } });
  const theirs = card('b', 'Bo Ek', {
    organizations: { g1: { name: 'Salinas Ensemble' } },
    titles: { t1: { name: 'Viola', organizationId: 'g1' } },
  });
  const { organizations = {}, titles = {} } = mergeCards([mine, theirs]);
  expect(Object.values(organizations).map(({ name }) => name)).toEqual(['Quay Strings', 'Salinas Ensemble']);
  expect(organizations[titles['t1']?.organizationId ?? '']?.name).toBe('Salinas Ensemble');
});

test('a firm with and without its legal form is one organisation', () => {
  const of = (uid: string, name: string) => card(uid, 'Bo Ek', { organizations: { g1: { name } } });
  expect(mergeCards([of('a', 'Quay Strings'), of('b', 'Quay Strings Ltd')]).organizations).toEqual({
    g1: { name: 'Quay Strings Ltd' },
  });
});

test('the fullest name is taken, or the one that was chosen; what it doesn’t say goes to a note', () => {
  const [a, b, c] = [card('a', 'B. Ek'), card('b', 'Bo Lars Ek'), card('c', 'Bo Quennell')];
  const merged = mergeCards([a, b, c]);
  expect(merged.name).toEqual(b.name);
  expect(notesOf(merged)).toEqual(['Also:\n- name: Bo Quennell']);
  const chosen = mergeCards([a, b, c], { name: 'c' });
  expect(chosen.name).toEqual(c.name);
  expect(notesOf(chosen)[0]).toContain('name: Bo Lars Ek');
});

test('one birthday stays: the fuller one without a word, another one with', () => {
  const year = card('a', 'Bo Ek', born(1968, 2, 3));
  const fuller = mergeCards([card('b', 'Bo Ek', born(undefined, 2, 3)), year]);
  expect(Object.values(fuller.anniversaries ?? {})).toEqual([
    { kind: 'birth', date: { year: 1968, month: 2, day: 3 } },
  ]);
  expect(fuller.notes).toBeUndefined();
  const other = mergeCards([year, card('c', 'Bo Ek', born(1969, 2, 3))], { birthday: 'c' });
  expect(Object.values(other.anniversaries ?? {})).toEqual([
    { kind: 'birth', date: { year: 1969, month: 2, day: 3 } },
  ]);
  expect(notesOf(other)).toEqual(['Also:\n- birthday: 3 February 1968']);
});

test('pinned, private, openers and due days: nothing is dropped, archived only where both are', () => {
  const merged = mergeCards([
    card('a', 'Bo Ek', {
      'cordialis.example:opener': 'The viola',
      'cordialis.example:archived': true,
      'cordialis.example:due': '2026-12-24',
    }),
    card('b', 'Bo Ek', {
      'cordialis.example:opener': 'The boat',
      'cordialis.example:pinned': true,
      'cordialis.example:private': true,
      'cordialis.example:due': '2026-12-01',
    }),
  ]);
  expect(merged).toMatchObject({
    'cordialis.example:opener': 'The viola / The boat',
    'cordialis.example:pinned': true,
    'cordialis.example:private': true,
    'cordialis.example:due': '2026-12-01',
    'cordialis.example:archived': false,
  });
});

test('merged-away uids lead to the result, over several merges; a relation to oneself goes', () => {
  const first = mergeCards([card('b', 'Bo Ek', { relatedTo: { c: {} } }), card('c', 'Bo Ek')]);
  const second = mergeCards([card('a', 'Bo Ek', { relatedTo: { b: {}, z: {} } }), first]);
  expect(Object.keys(second['cordialis.example:was'] ?? {}).sort()).toEqual(['b', 'c']);
  expect(Object.keys(second.relatedTo ?? {})).toEqual(['z']);
});

test('a name whose words the other has only as a sound is kept in the note', () => {
  const sounded = card('b', '', {
    name: {
      components: [
        { kind: 'given', value: 'Zorina Berta', phonetic: 'Xeni' },
        { kind: 'surname', value: 'Ypsil' },
      ],
    },
  });
  expect(notesOf(mergeCards([card('a', 'Xeni Ypsil'), sounded]))[0]).toContain('name: Xeni Ypsil');
});

test('law: every value of every card is in the result, or in its note, or only another writing of one there', () => {
  fc.assert(
    fc.property(fc.array(arbitraryCard, { minLength: 2, maxLength: 3 }), (some) => {
      const [first, ...others] = some.map((one, i) => ({ ...one, uid: `${i} ${one.uid}` }));
      if (!first) return;
      const merged = mergeCards([first, ...others], { country: 'GB' });
      expect(parseCard(merged).kind).toBe('card');
      expect([first, ...others].flatMap((one) => lostLeaves(one, merged))).toEqual([]);
    }),
    { numRuns: 400 },
  );
});

test('of two writings of an address the one whose parts say something is kept', () => {
  const address = (kind: string, value: string, full: string): Card => ({
    ...newCard(kind, '2026-01-01T00:00:00Z'),
    addresses: { a1: { components: [{ kind, value }], full } },
  });
  const merged = mergeCards([address('separator', ', ', '5 Quay'), address('name', '5 Quay', '       !')]);
  expect(Object.values(merged.addresses ?? {}).map(({ components }) => components)).toEqual([
    [{ kind: 'name', value: '5 Quay' }],
  ]);
});

test('law: merging with a copy of itself adds nothing but the trace', () => {
  fc.assert(
    fc.property(arbitraryCard, (one) => {
      const { relatedTo: _, ...plain } = one;
      const births = Object.values(plain.anniversaries ?? {}).filter(({ kind }) => kind === 'birth');
      fc.pre(births.length < 2 && plain['cordialis.example:opener'] === undefined);
      const merged = mergeCards([plain, { ...plain, uid: 'the copy' }], { country: 'GB' });
      for (const collection of UNITED)
        expect(Object.keys((merged[collection] ?? {}) as object).length).toBeLessThanOrEqual(
          Object.keys((plain[collection] ?? {}) as object).length,
        );
      expect(merged.name).toEqual(plain.name);
      expect(notesOf(merged)).toEqual(notesOf(plain));
    }),
    { numRuns: 100 },
  );
});

test('the fullest card comes first', () => {
  const cards = [card('a', 'Bo Ek'), card('b', 'Bo Ek', { notes: { o1: { note: 'long enough' } } })];
  expect(fullestFirst(cards).map(({ uid }) => uid)).toEqual(['b', 'a']);
});

test('of what a card says once, the chosen value is kept and the others go to the note in words', () => {
  const mine = card('a', 'Bo Ek', {
    'cordialis.example:rhythm': { every: 2, unit: 'week' },
    speakToAs: { pronouns: { y1: { pronouns: 'they/them' } } },
  });
  const theirs = card('b', 'Bo Ek', {
    'cordialis.example:rhythm': { every: 1, unit: 'month' },
    'cordialis.example:timeZone': 'Europe/Oslo',
  });
  const first = mergeCards([mine, theirs]);
  expect(first['cordialis.example:rhythm']).toEqual({ every: 2, unit: 'week' });
  expect(first['cordialis.example:timeZone']).toBe('Europe/Oslo');
  expect(first.speakToAs).toEqual(mine.speakToAs);
  expect(notesOf(first)).toEqual(['Also:\n- rhythm: every month']);
  const chosen = mergeCards([mine, theirs], { singles: { 'cordialis.example:rhythm': 'b' } });
  expect(chosen['cordialis.example:rhythm']).toEqual({ every: 1, unit: 'month' });
  expect(notesOf(chosen)).toEqual(['Also:\n- rhythm: every 2 weeks']);
});
