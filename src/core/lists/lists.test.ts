import fc from 'fast-check';

import { type Card, newCard, type Uid } from '@/core/card';

import { combine } from './combine';
import { findPeople, wouldContainItself } from './findPeople';
import {
  memberUids,
  newList,
  newRuleList,
  toPickedList,
  withMembers,
  withoutMembers,
  withoutWrittenMembers,
} from './list';
import { bareAddresses, mailFor, numberFor, withAddress, withReach } from './memberReach';

const now = '2026-01-01T00:00:00Z';
const list = (uid: Uid, ...members: Uid[]) => withMembers(newList(uid, uid, now), members);

function bookOf(...cards: Card[]) {
  const byUid = new Map(cards.map((card) => [card.uid, card]));
  return (uid: Uid) => byUid.get(uid);
}
const people = ['ada', 'bo', 'cy'].map((uid) => newCard(uid, now));

test('people of lists in lists come up once, in order', () => {
  const players = list('players', 'bo', 'winds');
  const get = bookOf(...people, players, list('winds', 'ada', 'bo', 'nobody'));
  expect(findPeople(players, get)).toEqual(['bo', 'ada']);
});

test('lists that lead back to themselves end', () => {
  const [a, b] = [list('a', 'b', 'ada'), list('b', 'a', 'cy')];
  expect(findPeople(a, bookOf(...people, a, b))).toEqual(['cy', 'ada']);
});

const loops = [
  { name: 'itself', list: 'a', member: 'a', expected: true },
  { name: 'a list that holds it', list: 'c', member: 'a', expected: true },
  { name: 'a list that it holds', list: 'a', member: 'c', expected: false },
  { name: 'a person', list: 'a', member: 'ada', expected: false },
];
for (const { name, list: uid, member, expected } of loops) {
  test(`a list can${expected ? 'not' : ''} take on ${name}`, () => {
    const get = bookOf(...people, list('a', 'b'), list('b', 'c'), list('c'));
    expect(wouldContainItself(get(uid) ?? list(uid), member, get)).toBe(expected);
  });
}

test('members keep their place, and come off again', () => {
  const one = withMembers(list('a', 'bo', 'ada'), ['cy', 'bo', 'a']);
  expect(memberUids(one)).toEqual(['bo', 'ada', 'cy']);
  expect(memberUids(withoutMembers(one, ['ada']))).toEqual(['bo', 'cy']);
  expect('members' in withoutMembers(one, ['ada', 'bo', 'cy'])).toBe(false);
  expect(withoutMembers(one, ['nobody'])).toBe(one);
});

// The identities of set algebra.
const uids = fc.uniqueArray(fc.constantFrom(...'abcdefgh'));
const set = (values: readonly string[]) => [...values].sort();
test('either, both and only the first obey the laws of sets', () => {
  fc.assert(
    fc.property(uids, uids, uids, (a, b, c) => {
      expect(set(combine(a, b, 'either'))).toEqual(set(combine(b, a, 'either')));
      expect(set(combine(a, b, 'both'))).toEqual(set(combine(b, a, 'both')));
      // A = (A ∩ B) ∪ (A \ B), and the two have nothing in common.
      const [both, only] = [combine(a, b, 'both'), combine(a, b, 'firstOnly')];
      expect(set(combine(both, only, 'either'))).toEqual(set(a));
      expect(combine(both, only, 'both')).toEqual([]);
      // De Morgan: A \ (B ∪ C) = (A \ B) ∩ (A \ C).
      expect(set(combine(a, combine(b, c, 'either'), 'firstOnly'))).toEqual(
        set(combine(combine(a, b, 'firstOnly'), combine(a, c, 'firstOnly'), 'both')),
      );
      // A ∩ (B ∪ C) = (A ∩ B) ∪ (A ∩ C).
      expect(set(combine(a, combine(b, c, 'either'), 'both'))).toEqual(
        set(combine(combine(a, b, 'both'), combine(a, c, 'both'), 'either')),
      );
    }),
  );
});

test('a list uses the address it was told to, as the card has it now; else the preferred one', () => {
  const member: Card = {
    ...newCard('ada', now),
    emails: { e1: { address: 'home@example.org', pref: 1 }, e2: { address: 'work@example.org' } },
    phones: { p1: { number: '1' }, p2: { number: '2' } },
  };
  const chosen = withReach(list('a', 'ada'), 'ada', { emailId: 'e2', phoneId: 'p2' });
  expect([mailFor(list('a', 'ada'), member), numberFor(list('a', 'ada'), member)]).toEqual([
    'home@example.org',
    '1',
  ]);
  expect([mailFor(chosen, member), numberFor(chosen, member)]).toEqual(['work@example.org', '2']);
  const moved = { ...member, emails: { ...member.emails, e2: { address: 'new@example.org' } } };
  expect(mailFor(chosen, moved)).toBe('new@example.org');
  const { e1 } = member.emails ?? {};
  expect(mailFor(chosen, { ...member, emails: { ...(e1 ? { e1 } : {}) } })).toBe('home@example.org');
  // Whoever is taken off takes the choice along, and an empty choice leaves nothing behind.
  expect(withoutMembers(chosen, ['ada'])).toEqual(list('a'));
  expect(withReach(chosen, 'ada', {})).toEqual(list('a', 'ada'));
});

test('an address without a card is a mailto: member, and comes back as it was', () => {
  const one = withAddress(list('a', 'bo'), 'zora+pier@example.org');
  expect(memberUids(one)).toEqual(['bo', 'mailto:zora%2Bpier@example.org']);
  expect(bareAddresses(one).map(({ address }) => address)).toEqual(['zora+pier@example.org']);
});

test('a rule list goes into a file with whoever is on it, and comes back with its rule alone', () => {
  const rule = newRuleList('r', 'Press', now, { kind: 'all', rules: [] });
  const written = toPickedList(rule, ['ada', 'bo']);
  expect(memberUids(written)).toEqual(['ada', 'bo']);
  expect(withoutWrittenMembers(written)).toEqual(rule);
  // A picked list is nobody's to fill or to empty.
  const picked = list('a', 'ada');
  expect([toPickedList(picked, ['bo']), withoutWrittenMembers(picked)]).toEqual([picked, picked]);
});
