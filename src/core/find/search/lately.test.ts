import fc from 'fast-check';

import { addDays } from '@/core/base';
import type { Card } from '@/core/card';
import { summarise, type Talk } from '@/core/talks';
import { generateBook } from '@/demo';

import type { Rule } from '../rules/rule';
import { Lately } from './lately';
import { SearchIndex } from './searchIndex';
import { toSearchDoc } from './toSearchDoc';

test('what was asked for lately is kept, the longest ago goes, and a change forgets everything', () => {
  const lately = new Lately<string>(2);
  const made: string[] = [];
  const get = (key: string, of = 1) =>
    lately.get(key, of, () => {
      made.push(key);
      return key.toUpperCase();
    });
  expect([get('a'), get('b'), get('a'), get('c'), get('a')].join('')).toBe('ABACA');
  expect(made.join('')).toBe('abc');
  get('b');
  expect(made.join('')).toBe('abcb');
  get('b', 2);
  expect(made.join('')).toBe('abcbb');
});

const today = '2026-11-25';
const cards = generateBook(today).slice(0, 40);
const QUERIES = ['ada', 'ada low', 'a', 'quartet', 'mezzo', 'patrons', 'lindqist', '0770', 'nobody at all'];
const RULES: readonly (Rule | undefined)[] = [
  undefined,
  { kind: 'talk', how: 'any', days: 30 },
  { kind: 'talk', how: 'met', days: 'ever', not: true },
  { kind: 'flag', flag: 'archived', not: true },
  { kind: 'words', field: 'place', value: 'london' },
  { kind: 'close', from: 50 },
];
const talkWith = (uid: string, day: string): Talk => ({
  ...{ id: `t-${uid}`, kind: 'meeting', day, direction: 'both', with: [uid], said: 'quartet #strings' },
});

type Step =
  | { readonly kind: 'ask'; readonly text: string; readonly rule: Rule | undefined; readonly day: number }
  | { readonly kind: 'add' | 'remove' | 'archive' | 'rename'; readonly at: number }
  | { readonly kind: 'talk'; readonly at: number; readonly ago: number };

const anyAt = fc.nat({ max: cards.length - 1 });
const anyStep: fc.Arbitrary<Step> = fc.oneof(
  fc.record({
    kind: fc.constant('ask' as const),
    text: fc.constantFrom(...QUERIES),
    rule: fc.constantFrom(...RULES),
    day: fc.nat({ max: 2 }),
  }),
  fc.record({ kind: fc.constantFrom('add' as const, 'remove', 'archive', 'rename'), at: anyAt }),
  fc.record({ kind: fc.constant('talk' as const), at: anyAt, ago: fc.nat({ max: 60 }) }),
);

/** Changed in one thing, by which it is found otherwise. */
function changed(card: Card, kind: Step['kind']): Card {
  if (kind === 'archive') return { ...card, 'cordialis.example:archived': true };
  return kind === 'rename' ? { ...card, name: { full: 'Ada Quartet' } } : card;
}

test('an index that was asked and changed in any order answers like one made anew', () => {
  fc.assert(
    fc.property(fc.array(anyStep, { minLength: 4, maxLength: 24 }), (steps) => {
      const index = new SearchIndex();
      const [now, talks] = [new Map<string, Card>(), new Map<string, Talk>()];
      for (const step of steps) {
        const card = cards['at' in step ? step.at : 0] as Card;
        if (step.kind === 'ask') {
          const anew = new SearchIndex();
          // In the order of the places, which decides between equals.
          for (const one of now.values()) anew.add(toSearchDoc(one, 'GB'));
          anew.putTalks([...talks].map(([uid, talk]) => [uid, summarise([talk])]));
          const options = {
            today: addDays(today, step.day),
            limit: 20,
            ...(step.rule ? { rule: step.rule } : {}),
          };
          const ask = (one: SearchIndex) =>
            one.query(step.text, options).map(({ uid, score }) => `${uid} ${score.toFixed(3)}`);
          expect(ask(index).sort()).toEqual(ask(anew).sort());
          // Once more: what is kept from the first time is not another answer.
          expect(ask(index).sort()).toEqual(ask(anew).sort());
        } else if (step.kind === 'remove') {
          index.remove(card.uid);
          now.delete(card.uid);
        } else if (step.kind === 'talk') {
          const talk = talkWith(card.uid, addDays(today, -step.ago));
          talks.set(card.uid, talk);
          index.putTalks([[card.uid, summarise([talk])]]);
        } else {
          const next = changed(card, step.kind);
          index.add(toSearchDoc(next, 'GB'));
          now.set(card.uid, next);
        }
      }
    }),
    { numRuns: 150 },
  );
});
