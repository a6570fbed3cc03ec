// What expectation–maximisation learns from pairs whose truth the test knows and the learning doesn't.
import { Dice } from '@/demo/random';

import { Vocabulary } from '../facts/vocabulary';
import type { PairComparison } from './comparePair';
import { learn } from './learn';
import { chancesOf, Model, PARTS, UNTAUGHT } from './model';

const CARDS = 5000;
/** A vocabulary of a book of so many cards, of which nothing else is known. */
const vocabulary = new Vocabulary(
  Array.from({ length: CARDS }, (_, i) => ({
    ...{
      uid: `u${i}`,
      isOrg: false,
      shown: '',
      house: [],
      nicknames: [],
      mails: [],
      phones: [],
      birth: undefined,
    },
    ...{
      employers: [],
      titles: [],
      streets: [],
      towns: [],
      placeScript: 'latin' as const,
      hosts: [],
      apart: new Set<string>(),
    },
    name: { words: [], generation: '', script: 'latin' as const, handle: '', particles: '', others: [] },
  })),
);

/** A pair as it may look: of one person with a share of shared mail addresses, or of two strangers. */
function pair(dice: Dice, isOne: boolean, sharedMail: number): PairComparison {
  const isShared = isOne && dice.chance(sharedMail);
  const match = (isGiven: boolean) => ({ level: 'same' as const, word: 'x', chance: 0.01, isGiven });
  return {
    name:
      isOne || dice.chance(0.1)
        ? { matches: [match(true), match(false)], together: 6, conflict: 'none' }
        : { matches: [match(false)], together: 1, conflict: 'otherGiven' },
    mail: { level: isShared ? 'same' : 'differ', value: '' },
    phone: { level: isOne && dice.chance(0.8) ? 'mobile' : 'differ', value: '' },
    reach: 'missing',
    isWithin: false,
    birth: 'missing',
    place: { level: 'missing', chance: 1 },
    work: { level: 'missing', chance: 1 },
    title: 'missing',
    generation: 'missing',
  };
}

for (const share of [0.2, 0.5, 0.9])
  test(`that ${share} of one person’s cards share a mail address is learnt`, () => {
    const dice = new Dice(11);
    const compared = Array.from({ length: 6000 }, (_, i) => pair(dice, i % 5 === 0, share));
    const { shares, matches } = learn(compared, vocabulary);
    expect(shares.mail.same).toBeGreaterThan(share - 0.07);
    expect(shares.mail.same).toBeLessThan(share + 0.07);
    expect(matches).toBeGreaterThan(0.15);
    expect(matches).toBeLessThan(0.3);
  });

test('a book without anything to learn from leaves the shipped values nearly as they are', () => {
  const { shares } = learn([pair(new Dice(1), true, 0.5)], vocabulary);
  for (const [level, share] of Object.entries(UNTAUGHT.shares.mail))
    expect(Math.abs(shares.mail[level as 'same'] - share)).toBeLessThan(0.02);
});

test('chances of all kinds add up to one, and a shared mail address raises that of one person', () => {
  const model = new Model(UNTAUGHT, vocabulary);
  const dice = new Dice(2);
  for (let i = 0; i < 200; i += 1) {
    const one = pair(dice, dice.chance(0.5), 0.5);
    const chances = chancesOf(model.sum(one));
    expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
    const [more] = chancesOf(model.sum({ ...one, mail: { level: 'same', value: '' } }));
    const [less] = chancesOf(model.sum({ ...one, mail: { level: 'differ', value: '' } }));
    expect(more).toBeGreaterThan(less);
  }
});

test('what is weighed at once is what is told part by part', () => {
  const model = new Model(UNTAUGHT, vocabulary);
  const dice = new Dice(3);
  const nothing = pair(dice, false, 0);
  const parts = (one: PairComparison) => PARTS.map((part) => model.logsOf(part, one));
  for (let i = 0; i < 50; i += 1) {
    const one: PairComparison = {
      ...pair(dice, dice.chance(0.5), 0.5),
      reach: dice.pick(['missing', 'some', 'oneDiffers', 'apart']),
      birth: dice.pick(['missing', 'same', 'differ']),
      place: dice.pick([
        { level: 'missing', chance: 1 },
        { level: 'town', chance: 0.2 },
      ]),
      work: dice.pick([
        { level: 'missing', chance: 1 },
        { level: 'same', chance: 0.1 },
      ]),
      title: dice.pick(['missing', 'same']),
      generation: dice.pick(['missing', 'oneSaid']),
    };
    for (const kind of [0, 1, 2, 3] as const) {
      const told = (of: PairComparison) => parts(of).reduce((sum, logs) => sum + logs[kind], 0);
      expect(model.sum(one)[kind] - model.sum(nothing)[kind]).toBeCloseTo(told(one) - told(nothing), 9);
    }
  }
});
