import type { Uid } from '@/core/card';

import { findCandidates, isApart } from './candidates';
import type { Cluster } from './cluster';
import type { DuplicateFacts } from './facts/facts';
import { Vocabulary } from './facts/vocabulary';
import { joinLinks, type Link } from './joinLinks';
import { judgePair } from './judgePair';
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
  const vocabulary = new Vocabulary(said);
  const all = said.map((one) => settleNames(one, vocabulary));
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
  return joinLinks(links, all, model).sort(
    (a, b) => b.probability - a.probability || ((a.uids[0] ?? '') < (b.uids[0] ?? '') ? -1 : 1),
  );
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
