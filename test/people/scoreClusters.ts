import type { Uid } from '@/core/card';

/** How well cards were put together, over pairs. */
export interface Score {
  readonly truePairs: number;
  readonly precision: number;
  readonly recall: number;
  readonly f1: number;
}

/** Scores clusters against who each card is. */
export function scoreClusters(
  clusters: readonly { readonly uids: readonly Uid[] }[],
  whose: ReadonlyMap<Uid, string>,
): Score {
  const sizes = new Map<string, number>();
  for (const who of whose.values()) sizes.set(who, (sizes.get(who) ?? 0) + 1);
  const truePairs = [...sizes.values()].reduce((sum, n) => sum + (n * (n - 1)) / 2, 0);
  let [found, right] = [0, 0];
  for (const [a, b] of pairsOf(clusters)) {
    found += 1;
    if (whose.get(a) === whose.get(b)) right += 1;
  }
  const [precision, recall] = [found === 0 ? 1 : right / found, truePairs === 0 ? 1 : right / truePairs];
  return { truePairs, precision, recall, f1: (2 * precision * recall) / (precision + recall || 1) };
}

/** Every two cards that were put together. */
export function pairsOf(clusters: readonly { readonly uids: readonly Uid[] }[]): [Uid, Uid][] {
  return clusters.flatMap(({ uids }) =>
    uids.flatMap((a, i) => uids.slice(i + 1).map((b): [Uid, Uid] => [a, b])),
  );
}
