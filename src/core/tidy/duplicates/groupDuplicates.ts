import type { Uid } from '@/core/card';

import { findCandidates, isApart } from './candidates';
import { type Cluster, LEAST } from './cluster';
import { type Copies, setCopiesAside } from './copies';
import type { DuplicateFacts } from './facts/facts';
import { Vocabulary } from './facts/vocabulary';
import { gradeOf, worseGrade } from './grade';
import { joinLinks, type Link } from './joinLinks';
import { judgePair, reasonsOf } from './judgePair';
import { comparePair, type PairComparison } from './model/comparePair';
import { judgeComparison } from './model/judgePeople';
import { learn } from './model/learn';
import { Model, UNTAUGHT } from './model/model';
import { settleNames } from './settle/settleNames';

/** What finding needs. */
export interface FindOptions {
  /** Told how far it is, 0 to 1. Gives false to stop. */
  readonly onProgress?: (share01: number) => boolean;
}

/** Links that are kept: what two cards don't say by themselves, they may say together with a third. Ours. */
const WORTH_KEEPING = 0.02;
/** Pairs that are learnt from, at most. Ours. */
const MOST_LEARNT = 40_000;

/** The name of a pair, the same for both orders. */
export function pairKey(a: Uid, b: Uid): string {
  return a < b ? `${a} ${b}` : `${b} ${a}`;
}

/** Finds the cards of a book that are the same person or organisation; the surest first. Pairs kept apart stay apart. */
export function groupDuplicates(
  said: readonly DuplicateFacts[],
  { onProgress = () => true }: FindOptions = {},
): Cluster[] {
  const { firsts, copiesOf } = setCopiesAside(said);
  const vocabulary = new Vocabulary(firsts);
  const all = firsts.map((one) => settleNames(one, vocabulary));
  vocabulary.countPersons(all);
  vocabulary.learnCultures(all);
  const candidates = findCandidates(all, (share01) => onProgress(share01 * 0.4));
  if (!candidates) return [];
  const compared = compareSome(all, candidates, vocabulary);
  const model = teach([...compared.values()], vocabulary, candidates.length / Math.max(1, compared.size));
  const links: Link[] = [];
  for (const [done, pair] of candidates.entries()) {
    if (done % 20_000 === 0 && !onProgress(0.4 + (0.6 * done) / candidates.length)) return [];
    const [a, b] = [Math.floor(pair / all.length), pair % all.length];
    const [one, other] = [all[a], all[b]];
    if (!one || !other || isApart(one, other)) continue;
    const known = compared.get(pair);
    const judgement =
      known === undefined ? judgePair(one, other, model) : known && judgeComparison(known, model);
    if (judgement && judgement.probability >= WORTH_KEEPING) links.push({ a, b, judgement });
  }
  return withCopies(joinLinks(links, all, model), copiesOf, model).sort(
    (a, b) => b.probability - a.probability || ((a.uids[0] ?? '') < (b.uids[0] ?? '') ? -1 : 1),
  );
}

/** Clusters with the copies of their cards, and the cards that only have copies. */
function withCopies(clusters: readonly Cluster[], copiesOf: Copies['copiesOf'], model: Model): Cluster[] {
  const found = new Map<Uid, Cluster>();
  for (const cluster of clusters) for (const uid of cluster.uids) found.set(uid, cluster);
  const grown = new Set(clusters);
  for (const [first, copies] of copiesOf) {
    const judgement = judgePair(first, copies[0] ?? first, model);
    const uids = copies.map(({ uid }) => uid);
    const cluster = found.get(first.uid);
    if (!cluster && judgement.probability < LEAST) continue;
    const { probability } = judgement;
    const grade = gradeOf(judgement);
    const more: Cluster = cluster
      ? { ...cluster, uids: [...cluster.uids, ...uids].sort(), grade: worseGrade(cluster.grade, grade) }
      : { uids: [first.uid, ...uids].sort(), probability, grade, evidence: reasonsOf(judgement, model) };
    if (cluster) grown.delete(cluster);
    grown.add(more);
    for (const uid of more.uids) found.set(uid, more);
  }
  return [...grown];
}

/** Pairs of people compared, to learn from them; of a large book some, spread over all. False for a hopeless pair. */
function compareSome(
  all: readonly DuplicateFacts[],
  candidates: Float64Array,
  vocabulary: Vocabulary,
): Map<number, PairComparison | false> {
  const step = Math.max(1, Math.ceil(candidates.length / MOST_LEARNT));
  const compared = new Map<number, PairComparison | false>();
  for (let i = 0; i < candidates.length; i += step) {
    const pair = candidates[i] ?? 0;
    const [one, other] = [all[Math.floor(pair / all.length)], all[pair % all.length]];
    if (one && other && !one.isOrg && !other.isOrg)
      compared.set(pair, comparePair(one, other, vocabulary) ?? false);
  }
  return compared;
}

function teach(compared: readonly (PairComparison | false)[], vocabulary: Vocabulary, times: number): Model {
  const people = compared.flatMap((one) => one || []);
  return new Model(people.length === 0 ? UNTAUGHT : learn(people, vocabulary, times), vocabulary);
}
