import type { Uid } from '@/core/card';

import { blockKeys } from './blockKeys';
import { isApart, isUsable } from './candidates';
import { type Cluster, LEAST } from './cluster';
import type { DuplicateFacts } from './facts/facts';
import { Vocabulary } from './facts/vocabulary';
import { gradeOf } from './grade';
import { judgePair, reasonsOf } from './judgePair';
import { Model, UNTAUGHT } from './model/model';

/** The share of cards that may be added or deleted before name frequencies are counted again. Our choice. */
const STALE = 0.02;

/** The cards of a book, kept so that one that comes or changes is compared at once, and only with those it may be. */
export class DuplicateIndex {
  private readonly facts = new Map<Uid, DuplicateFacts>();
  private readonly blocks = new Map<string, Set<Uid>>();
  private model: Model | undefined;
  private changes = 0;

  /** Adds or updates a card. */
  put(one: DuplicateFacts): void {
    this.remove(one.uid);
    this.facts.set(one.uid, one);
    for (const key of blockKeys(one)) {
      const block = this.blocks.get(key);
      if (block) block.add(one.uid);
      else this.blocks.set(key, new Set([one.uid]));
    }
    this.changes += 1;
  }

  /** Removes a card, if it is there. */
  remove(uid: Uid): void {
    const known = this.facts.get(uid);
    if (!known) return;
    this.facts.delete(uid);
    for (const key of blockKeys(known)) {
      const block = this.blocks.get(key);
      block?.delete(uid);
      if (block?.size === 0) this.blocks.delete(key);
    }
    this.changes += 1;
  }

  /** Each card that is the same as `one` with it, the surest first; `one` need not be in the book. */
  duplicatesOf(one: DuplicateFacts): Cluster[] {
    const model = this.countAgain();
    const near = new Set<Uid>();
    for (const key of blockKeys(one)) {
      const block = this.blocks.get(key);
      if (!block || !isUsable(key, block.size + Number(!block.has(one.uid)))) continue;
      for (const uid of block) if (uid !== one.uid) near.add(uid);
    }
    const duplicates = [...near].flatMap((uid): Cluster[] => {
      const other = this.facts.get(uid);
      if (!other || isApart(one, other)) return [];
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

  private countAgain(): Model {
    if (!this.model || this.changes > this.facts.size * STALE) {
      this.model = new Model(UNTAUGHT, new Vocabulary([...this.facts.values()]));
      this.changes = 0;
    }
    return this.model;
  }
}
