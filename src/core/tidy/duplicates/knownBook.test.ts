// Books whose truth is known, made by the ways in which books go wrong (test/people) and not by how duplicates are found.
// The seeds here are for working; those that are kept for measuring are in the decision on recognition.
import { makeKnownBook } from '../../../../test/people/makeBook';
import { pairsOf, scoreClusters } from '../../../../test/people/scoreClusters';
import { duplicateFacts } from './facts/facts';
import { groupDuplicates } from './groupDuplicates';

const { cards, whose } = makeKnownBook(4000, 5);
const clusters = groupDuplicates(cards.map((card) => duplicateFacts(card)));
const areOne = ([a, b]: readonly [string, string]) => whose.get(a) === whose.get(b);

test('most of the duplicates of a book are found, and hardly anything else', () => {
  const { truePairs, precision, recall } = scoreClusters(clusters, whose);
  expect(truePairs).toBeGreaterThan(600);
  expect(precision).toBeGreaterThan(0.98);
  expect(recall).toBeGreaterThan(0.93);
});

test('what is certain is right', () => {
  const pairs = pairsOf(clusters.filter(({ grade }) => grade === 'certain'));
  expect(pairs.length).toBeGreaterThan(100);
  expect(pairs.filter((pair) => !areOne(pair))).toEqual([]);
});

test('of those said to be surely the same, as many are', () => {
  const sure = clusters.filter(({ probability }) => probability >= 0.95);
  expect(sure.length).toBeGreaterThan(200);
  const right = sure.filter((one) => pairsOf([one]).every(areOne)).length;
  const said = sure.reduce((sum, { probability }) => sum + probability, 0);
  expect(Math.abs(right - said) / sure.length).toBeLessThan(0.03);
});

test('the order of the cards makes no difference', () => {
  const some = cards.slice(0, 1500);
  const grouped = (all: typeof some) =>
    groupDuplicates(all.map((card) => duplicateFacts(card)))
      .map(({ uids }) => uids.join(' '))
      .sort();
  const there = new Set(grouped(some));
  const back = grouped([...some].reverse());
  // Ties may fall either way; more than that would be chance.
  expect(back.filter((one) => !there.has(one)).length).toBeLessThanOrEqual(back.length * 0.01);
});
