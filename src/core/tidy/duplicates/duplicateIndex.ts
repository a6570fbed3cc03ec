import type { Uid } from '@/core/card';

import { blockKeys } from './blockKeys';
import { isApart, isUsable } from './candidates';
import { type Cluster, LEAST } from './cluster';
import { areBornApart } from './compare/compareRest';
import type { DuplicateFacts } from './facts/facts';
import { Vocabulary } from './facts/vocabulary';
import { gradeOf } from './grade';
import { judgePair, reasonsOf } from './judgePair';
import { Model, UNTAUGHT } from './model/model';
import { settleNames } from './settle/settleNames';

/** The cards of a book, kept so that one that comes or changes is compared at once, and only with those it may be. */
export class DuplicateIndex {
  /** Each card as it says, which is counted, and with its name as it is read then, which is compared. */
  private readonly facts = new Map<
    Uid,
    { readonly said: DuplicateFacts; readonly settled: DuplicateFacts }
  >();
  private readonly blocks = new Map<string, Set<Uid>>();
  private readonly vocabulary = new Vocabulary();

  /** Adds or updates a card. */
  put(said: DuplicateFacts): void {
    const { uid } = said;
    this.remove(uid);
    this.vocabulary.put(said);
    const settled = settleNames(said, this.vocabulary);
    this.facts.set(uid, { said, settled });
    for (const key of blockKeys(settled)) {
      const block = this.blocks.get(key);
      if (block) block.add(uid);
      else this.blocks.set(key, new Set([uid]));
    }
  }

  /** Removes a card, if it is there. */
  remove(uid: Uid): void {
    const known = this.facts.get(uid);
    if (!known) return;
    this.facts.delete(uid);
    this.vocabulary.remove(known.said);
    for (const key of blockKeys(known.settled)) {
      const block = this.blocks.get(key);
      block?.delete(uid);
      if (block?.size === 0) this.blocks.delete(key);
    }
  }

  /** Each card that is the same as another with it, the surest first; that one need not be in the book. */
  duplicatesOf(said: DuplicateFacts): Cluster[] {
    const one = settleNames(said, this.vocabulary);
    const model = new Model(UNTAUGHT, this.vocabulary);
    const near = new Set<Uid>();
    for (const key of blockKeys(one)) {
      const block = this.blocks.get(key);
      if (!block || !isUsable(key, block.size + Number(!block.has(one.uid)))) continue;
      for (const uid of block) if (uid !== one.uid) near.add(uid);
    }
    const duplicates = [...near].flatMap((uid): Cluster[] => {
      const other = this.facts.get(uid)?.settled;
      if (!other || isApart(one, other) || areBornApart(one, other)) return [];
      const judgement = judgePair(one, other, model);
      if (judgement.probability < LEAST) return [];
      const { probability } = judgement;
      return [
        {
          uids: [one.uid, uid].sort(),
          probability,
          evidence: reasonsOf(judgement, model),
          grade: gradeOf(judgement),
        },
      ];
    });
    return duplicates.sort((a, b) => b.probability - a.probability);
  }
}
