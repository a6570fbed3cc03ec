import type { Uid } from '@/core/card';

import { blockKeys, goesByInitial, isForInitials, isForNumber, isForReach } from './blockKeys';
import type { Evidence } from './evidence';
import type { DuplicateFacts } from './facts';
import { Frequencies } from './frequencies';
import { type Judgement, judgePair } from './judgePair';
import { areStrangers, nameMask } from './nameMask';

/** How sure it is. */
export type Grade = 'certain' | 'likely' | 'possible';

/** Cards that are taken to be the same. */
export interface Cluster {
  readonly uids: readonly Uid[];
  /** 0 to 1: that of the weakest link that holds it together. */
  readonly probability: number;
  readonly grade: Grade;
  /** Of the weakest link, the weightiest first. */
  readonly evidence: readonly Evidence[];
}

/** What finding needs. */
export interface FindOptions {
  /** Told how far it is, 0 to 1. Gives false to stop. */
  readonly onProgress?: (share01: number) => boolean;
}

/** Probabilities from which a cluster is certain, likely, possible. Our choice. */
const [CERTAIN, LIKELY] = [0.995, 0.9];
/** Below this, two cards count as two people. */
export const LEAST = 0.6;

/**
 * Cards under one key at most. A number that more share is a switchboard's; a name that more share is a common one, and
 * whoever of them is the same has another key in common as well.
 */
export const [MAX_REACH_BLOCK, MAX_NAME_BLOCK] = [60, 20];

/** Two cards of a cluster may not speak against each other more than this. */
const LEAST_WITHIN = 0.02;

/** The name of a pair, the same for both orders. */
export function pairKey(a: Uid, b: Uid): string {
  return a < b ? `${a} ${b}` : `${b} ${a}`;
}

/** Finds the cards of a book that are the same person or organisation; the surest first. Pairs kept apart stay apart. */
export function groupDuplicates(all: readonly DuplicateFacts[], options: FindOptions = {}): Cluster[] {
  const frequencies = new Frequencies(all);
  const links = findLinks(all, frequencies, options);
  return joinLinks(links, all, frequencies).sort(
    (a, b) => b.probability - a.probability || ((a.uids[0] ?? '') < (b.uids[0] ?? '') ? -1 : 1),
  );
}

interface Link {
  readonly a: number;
  readonly b: number;
  readonly judgement: Judgement;
}

function findLinks(
  all: readonly DuplicateFacts[],
  frequencies: Frequencies,
  { onProgress }: FindOptions,
): Link[] {
  const blocks = new Map<string, number[]>();
  all.forEach((one, at) => {
    for (const key of blockKeys(one)) {
      const block = blocks.get(key);
      if (block) block.push(at);
      else blocks.set(key, [at]);
    }
  });
  const links: Link[] = [];
  // A pair stands under several keys and is judged once.
  const judged = new Set<number>();
  let done = 0;
  const byInitial = all.map(goesByInitial);
  const masks = all.map(nameMask);
  for (const [key, block] of blocks) {
    const isInitials = isForInitials(key);
    const isNumber = isForNumber(key);
    done += 1;
    if (done % 2000 === 0 && onProgress?.(done / blocks.size) === false) return [];
    const most = isForReach(key) ? MAX_REACH_BLOCK : MAX_NAME_BLOCK;
    if (block.length < 2 || block.length > most) continue;
    for (let i = 0; i < block.length; i += 1)
      for (let j = i + 1; j < block.length; j += 1) {
        const [a = 0, b = 0] = [block[i], block[j]];
        if (isInitials && byInitial[a] === false && byInitial[b] === false) continue;
        // Most cards that share only a number belong to one organisation; similar names share another key too.
        if (isNumber && areStrangers(masks[a] ?? 0, masks[b] ?? 0)) continue;
        const pair = a * all.length + b;
        if (judged.has(pair)) continue;
        judged.add(pair);
        const [one, other] = [all[a], all[b]];
        if (!one || !other || isApart(one, other)) continue;
        const judgement = judgePair(one, other, frequencies);
        if (judgement.probability >= LEAST) links.push({ a, b, judgement });
      }
  }
  return links;
}

/** Whether the user has said that two cards are others. */
export function isApart(a: DuplicateFacts, b: DuplicateFacts): boolean {
  return (a.apart.size > 0 && a.apart.has(b.uid)) || (b.apart.size > 0 && b.apart.has(a.uid));
}

/**
 * Joins links into clusters, the surest first. Two clusters are joined only where no card of the one speaks against a
 * card of the other, so that a shared mailbox never chains strangers together.
 */
function joinLinks(links: Link[], all: readonly DuplicateFacts[], frequencies: Frequencies): Cluster[] {
  links.sort((x, y) => y.judgement.probability - x.judgement.probability || x.a - y.a || x.b - y.b);
  const clusterOf = new Map<number, OpenCluster>();
  for (const { a, b, judgement } of links) {
    const [mine, theirs] = [clusterOf.get(a) ?? { places: [a] }, clusterOf.get(b) ?? { places: [b] }];
    if (mine === theirs) continue;
    if (!fitTogether(mine.places, theirs.places, all, frequencies)) continue;
    const weakest = weakestOf(mine.weakest, theirs.weakest, judgement);
    const joined: OpenCluster = { places: [...mine.places, ...theirs.places], weakest };
    for (const place of joined.places) clusterOf.set(place, joined);
  }
  return [...new Set(clusterOf.values())].flatMap(({ places, weakest }): Cluster[] => {
    if (!weakest) return [];
    const uids = places.flatMap((place) => all[place]?.uid ?? []).sort();
    return [{ uids, ...weakest, grade: gradeOf(weakest) }];
  });
}

interface OpenCluster {
  readonly places: readonly number[];
  readonly weakest?: Judgement | undefined;
}

function fitTogether(
  mine: readonly number[],
  theirs: readonly number[],
  all: readonly DuplicateFacts[],
  frequencies: Frequencies,
): boolean {
  return mine.every((a) =>
    theirs.every((b) => {
      const [one, other] = [all[a], all[b]];
      if (!one || !other || isApart(one, other)) return false;
      return judgePair(one, other, frequencies).probability >= LEAST_WITHIN;
    }),
  );
}

function weakestOf(...judgements: (Judgement | undefined)[]): Judgement | undefined {
  return judgements.reduce((weakest, one) =>
    !weakest || (one && one.probability < weakest.probability) ? one : weakest,
  );
}

/**
 * Certain is only what two kinds of evidence say, and nothing of weight denies: it may be merged without being looked
 * at.
 */
export function gradeOf({ probability, evidence }: Judgement): Grade {
  const kinds = new Set(evidence.filter(({ bits }) => bits > 2).map(({ kind }) => kind));
  const isDenied = evidence.some(({ bits }) => bits < -1);
  if (probability >= CERTAIN && kinds.size >= 2 && !isDenied) return 'certain';
  return probability >= LIKELY ? 'likely' : 'possible';
}
