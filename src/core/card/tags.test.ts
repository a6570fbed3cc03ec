import { hasFlag, withFlag } from './flags';
import { newCard } from './parseCard';
import type { Card } from './schema/types';
import { renameTag, tagsOf, withoutTag, withTag } from './tags';

const card: Card = { ...newCard('a', '2026-01-01T00:00:00Z'), keywords: { Press: true, patron: true } };

const tags: { name: string; change: (card: Card) => Card; expected: string[] }[] = [
  {
    name: 'a new one comes last',
    change: (one) => withTag(one, ' choir '),
    expected: ['Press', 'patron', 'choir'],
  },
  {
    name: 'one in another case is the same',
    change: (one) => withTag(one, 'press'),
    expected: ['Press', 'patron'],
  },
  { name: 'nothing is no tag', change: (one) => withTag(one, ' '), expected: ['Press', 'patron'] },
  { name: 'one comes off in any case', change: (one) => withoutTag(one, 'PATRON'), expected: ['Press'] },
  {
    name: 'a renamed one keeps its place',
    change: (one) => renameTag(one, 'press', 'media'),
    expected: ['media', 'patron'],
  },
  {
    name: 'two that are joined are one',
    change: (one) => renameTag(one, 'patron', 'press'),
    expected: ['press'],
  },
  {
    name: 'a tag it does not have is not renamed',
    change: (one) => renameTag(one, 'choir', 'x'),
    expected: ['Press', 'patron'],
  },
  {
    name: 'a tag may change its case',
    change: (one) => renameTag(one, 'Press', 'press'),
    expected: ['press', 'patron'],
  },
];
for (const { name, change, expected } of tags) {
  test(`tags: ${name}`, () => expect(tagsOf(change(card))).toEqual(expected));
}

test('with the last tag the property goes', () => {
  expect('keywords' in withoutTag(withoutTag(card, 'press'), 'patron')).toBe(false);
});

test('an archived card is not pinned, and comes back without a trace', () => {
  const archived = withFlag(withFlag(card, 'pinned', true), 'archived', true);
  expect([hasFlag(archived, 'archived'), hasFlag(archived, 'pinned')]).toEqual([true, false]);
  expect(withFlag(archived, 'archived', false)).toEqual(card);
  expect(withFlag(card, 'archived', false)).toBe(card);
});
