import fc from 'fast-check';

import { type Card, newCard, parseName, relinkCard } from '@/core/card';

import { mergeCards } from '../merging/mergeCards';
import { bundleCards, bundledWith, findLeads, takeOut, throughLeads } from './bundle';
import { jointCard } from './jointCard';
import { onePerBundle } from './planForBundles';

const card = (uid: string, more: Partial<Card> = {}): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  name: parseName(`Ada ${uid}`) ?? {},
  ...more,
});
const leadsOf = (cards: readonly Card[]) =>
  findLeads(cards.map((one) => ({ uid: one.uid, bundled: bundledWith(one) })));

/** The book after some cards have been changed. */
function withChanged(book: readonly Card[], changed: readonly Card[]): Card[] {
  return book.map((one) => changed.find(({ uid }) => uid === one.uid) ?? one);
}

test('one card stands for others, takes over what they stood for, and lets each go again', () => {
  const book = [card('a'), card('b'), card('c'), card('d')];
  const [a, b, c] = book as [Card, Card, Card, Card];
  const first = withChanged(book, bundleCards([b, c]));
  const second = withChanged(first, bundleCards([a, first[1] as Card]));
  expect(leadsOf(second)).toEqual(
    new Map([
      ['b', 'a'],
      ['c', 'a'],
    ]),
  );
  expect(second[1]).toEqual(b);
  const out = takeOut(second[0] as Card, 'b');
  expect(bundledWith(out)).toEqual(['c']);
  expect(takeOut(out, 'c')).toEqual(a);
  expect(bundleCards([a])).toEqual([]);
});

test('whatever cards say of each other, nobody is hidden behind somebody who is hidden', () => {
  const uids = ['a', 'b', 'c', 'd'];
  const claims = fc.array(
    fc.record({ uid: fc.constantFrom(...uids), bundled: fc.uniqueArray(fc.constantFrom(...uids)) }),
  );
  fc.assert(
    fc.property(claims, (all) => {
      const leads = findLeads(all);
      for (const lead of leads.values()) expect(leads.has(lead)).toBe(false);
      for (const uid of leads.keys()) expect(leads.get(uid)).not.toBe(uid);
    }),
  );
});

test('read as one, all ways to reach somebody are there, the first card’s own before the others', () => {
  const a = card('a', { phones: { p1: { number: '1' } }, 'cordialis.example:opener': 'The viola' });
  const b = card('b', {
    phones: { p1: { number: '2', pref: 1 } },
    emails: { e1: { address: 'b@example.org', pref: 1 } },
    'cordialis.example:due': '2026-12-01',
  });
  const joint = jointCard(a, [b]);
  expect(joint.phones).toEqual({ p1: { number: '1' }, 'p1-1': { number: '2' } });
  expect(joint.emails).toEqual({ 'e1-1': { address: 'b@example.org', pref: 1 } });
  expect(joint['cordialis.example:opener']).toBe('The viola');
  expect(joint['cordialis.example:due']).toBe('2026-12-01');
  expect(jointCard(a, [])).toBe(a);
});

test('each is found once, as the card that stands for it', () => {
  const leads = new Map([
    ['b', 'a'],
    ['c', 'a'],
  ]);
  const hits = [
    { uid: 'c', value: 'phone' },
    { uid: 'd', value: '' },
    { uid: 'a', value: 'name' },
  ];
  expect(throughLeads(hits, leads)).toEqual([
    { uid: 'a', value: 'phone' },
    { uid: 'd', value: '' },
  ]);
});

test('a birthday that several cards of a bundle know is named once, that of the first card before the others', () => {
  const leadOf = (uid: string) => (uid === 'a' || uid === 'd' ? undefined : 'a');
  const days = [
    { uid: 'b', date: '12-01' },
    { uid: 'a', date: '12-01' },
    { uid: 'c', date: '12-05' },
    { uid: 'b', date: '12-05' },
    { uid: 'd', date: '12-01' },
  ];
  expect(onePerBundle(days, leadOf, ({ date }) => date)).toEqual([days[1], days[2], days[4]]);
});

test('merging and relinking keep bundles whole', () => {
  const a = card('a', { 'cordialis.example:bundled': { b: true, c: true } });
  const merged = mergeCards([card('z', { 'cordialis.example:bundled': { y: true } }), a]);
  expect(bundledWith(merged).sort()).toEqual(['b', 'c', 'y']);
  expect(bundledWith(relinkCard(a, new Map([['b', 'q']]))).sort()).toEqual(['c', 'q']);
  // Merged with one of those it stands for, it stands for the others.
  expect(bundledWith(mergeCards([a, card('b')]))).toEqual(['c']);
});
