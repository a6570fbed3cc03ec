// npm run bench -- duplicates: how well duplicates are found in books made up by the ways in which books go wrong
// (test/people), and how long it takes. SEEDS=1,2 SIZE=11000 for others; SHOW=40 prints some of what went wrong.
import { type Card, formatName } from '@/core/card';
import { type Cluster, duplicateFacts, groupDuplicates } from '@/core/tidy';

import { type KnownBook, makeKnownBook } from '../../test/people/makeBook';
import { pairsOf, scoreClusters } from '../../test/people/scoreClusters';

const seeds = (process.env['SEEDS'] ?? '1').split(',').map(Number);
const size = Number(process.env['SIZE'] ?? 11_000);
const show = Number(process.env['SHOW'] ?? 0);
const rounded = (value: number) => Number(value.toFixed(4));

function measure(seed: number) {
  const book = makeKnownBook(size, seed);
  const begun = performance.now();
  const facts = book.cards.map((card) => duplicateFacts(card));
  const read = performance.now();
  const clusters = groupDuplicates(facts);
  const done = performance.now();
  const { whose } = book;
  const isRight = ([a, b]: readonly [string, string]) => whose.get(a) === whose.get(b);
  const ofGrade = (grade: Cluster['grade']) => {
    const pairs = pairsOf(clusters.filter((one) => one.grade === grade));
    return { pairs: pairs.length, precision: rounded(pairs.filter(isRight).length / (pairs.length || 1)) };
  };
  const score = scoreClusters(clusters, whose);
  if (show > 0) showWrong(book, clusters);
  return {
    seed,
    cards: book.cards.length,
    truePairs: score.truePairs,
    ...{ f1: rounded(score.f1), precision: rounded(score.precision), recall: rounded(score.recall) },
    grades: { certain: ofGrade('certain'), likely: ofGrade('likely'), possible: ofGrade('possible') },
    reliability: reliability(clusters, isRight),
    ...{ factsMs: Math.round(read - begun), groupMs: Math.round(done - read) },
  };
}

/** Of the clusters said to be right with some probability, how many are: by steps. */
function reliability(clusters: readonly Cluster[], isRight: (pair: readonly [string, string]) => boolean) {
  return [0, 0.6, 0.7, 0.8, 0.9, 0.95, 0.99, 0.999].map((from, i, all) => {
    const within = clusters.filter(
      ({ probability }) => probability >= from && probability < (all[i + 1] ?? 2),
    );
    const right = within.filter((one) => pairsOf([one]).every(isRight)).length;
    const said = within.reduce((sum, { probability }) => sum + probability, 0);
    const n = within.length || 1;
    return `${from}+: ${within.length}, said ${rounded(said / n)}, right ${rounded(right / n)}`;
  });
}

function showWrong({ cards, whose }: KnownBook, clusters: readonly Cluster[]): void {
  const byUid = new Map(cards.map((card) => [card.uid, card]));
  const found = new Set(pairsOf(clusters).map(([a, b]) => [a, b].sort().join(' ')));
  const groups = new Map<string, Card[]>();
  for (const card of cards) {
    const who = whose.get(card.uid) ?? '';
    groups.set(who, [...(groups.get(who) ?? []), card]);
  }
  const missed = pairsOf([...groups.values()].map((group) => ({ uids: group.map(({ uid }) => uid) }))).filter(
    ([a, b]) => !found.has([a, b].sort().join(' ')),
  );
  const wrong = pairsOf(clusters).filter(([a, b]) => whose.get(a) !== whose.get(b));
  for (const [title, pairs] of [
    ['MISSED', missed],
    ['WRONG', wrong],
  ] as const) {
    console.error(`\n${title} ${pairs.length}`);
    for (const [a, b] of pairs.slice(0, show)) {
      const cluster = clusters.find(({ uids }) => uids.includes(a) && uids.includes(b));
      console.error(`- ${told(byUid.get(a))}\n  ${told(byUid.get(b))}`);
      if (cluster)
        console.error(
          `    ${cluster.probability.toFixed(3)} ${cluster.grade} of ${cluster.uids.length}: ${cluster.evidence.map(({ words, bits }) => `${words} ${bits.toFixed(1)}`).join('; ')}`,
        );
    }
  }
}

function told(card: Card | undefined): string {
  if (!card) return '';
  const parts = (card.name?.components ?? [])
    .map(({ kind, value }) => `${kind.charAt(0)}:${value}`)
    .join('|');
  const birth = Object.values(card.anniversaries ?? {}).map(({ date }) =>
    JSON.stringify(date).replace(/[^\d,]/g, ''),
  );
  return [
    card.uid,
    formatName(card.name),
    parts,
    ...Object.values(card.organizations ?? {}).map(({ name }) => name),
    ...Object.values(card.emails ?? {}).map(({ address }) => address),
    ...Object.values(card.phones ?? {}).map(({ number }) => number),
    ...birth,
  ].join(' · ');
}

console.log(JSON.stringify(seeds.map(measure)));
