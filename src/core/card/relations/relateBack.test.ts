import { newCard } from '../parseCard';
import type { Card } from '../schema/types';
import { relateBack } from './relateBack';
import { parseRelation, RELATION_WORDS, relationLabel, reverseRelation } from './relationWords';

const card = (uid: string, relatedTo?: Card['relatedTo']): Card => ({
  ...newCard(uid, '2026-01-01T00:00:00Z'),
  name: { full: uid },
  ...(relatedTo ? { relatedTo } : {}),
});
const cases = [
  {
    name: 'a child’s parent has a child',
    before: undefined,
    after: { b: { relation: { parent: true } } },
    other: undefined,
    expected: { a: { relation: { child: true } } },
  },
  {
    name: 'a relation that goes takes its other side along, and leaves the rest',
    before: { b: { relation: { spouse: true } } },
    after: undefined,
    other: { a: { relation: { spouse: true, friend: true } }, c: {} },
    expected: { a: { relation: { friend: true } }, c: {} },
  },
  {
    name: 'the last relation takes the entry away',
    before: { b: { relation: { friend: true } } },
    after: undefined,
    other: { a: { relation: { friend: true } } },
    expected: undefined,
  },
  {
    name: 'a change of the relation changes the other side',
    before: { b: { relation: { friend: true } } },
    after: { b: { relation: { 'cordialis.example:manager': true } } },
    other: { a: { relation: { friend: true } } },
    expected: { a: { relation: { 'cordialis.example:report': true } } },
  },
] as const;
for (const { name, before, after, other, expected } of cases) {
  test(name, () => {
    const b = card('b', other as Card['relatedTo']);
    const [changed] = relateBack(
      card('a', before as Card['relatedTo']),
      card('a', after as Card['relatedTo']),
      (uid) => (uid === 'b' ? b : undefined),
    );
    expect(changed?.relatedTo).toEqual(expected);
  });
}

test('the same relation changes nothing, and a card that is not here is left alone', () => {
  const a = card('a', { b: { relation: { friend: true } } });
  expect(relateBack(a, { ...a }, () => card('b'))).toEqual([]);
  expect(relateBack(undefined, a, () => undefined)).toEqual([]);
});

test('every relation that can be chosen is read back, and turned round twice is itself where it has another side', () => {
  expect(RELATION_WORDS.length).toBeGreaterThan(20);
  for (const word of RELATION_WORDS) {
    const relation = parseRelation(word);
    expect(relationLabel(relation)).toBe(word);
    const back = reverseRelation(relation);
    if (Object.keys(back).length > 0) expect(reverseRelation(back)).toEqual(relation);
  }
});
