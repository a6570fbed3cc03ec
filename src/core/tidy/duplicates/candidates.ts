import { blockKeys, goesByInitial, isForInitials, isForReach, isForWholeName } from './blockKeys';
import type { DuplicateFacts } from './facts/facts';

/**
 * Cards under one key at most. A number that more share is a switchboard's; a name that more share is a common one, and
 * whoever of them is the same has another key in common as well. Of one whole name there may be as many copies of one card.
 */
const [MAX_REACH_BLOCK, MAX_WHOLE_BLOCK, MAX_NAME_BLOCK] = [60, 25, 10];

/** Whether the cards under a key are compared with each other. */
export function isUsable(key: string, size: number): boolean {
  if (size < 2) return false;
  if (isForReach(key)) return size <= MAX_REACH_BLOCK;
  return size <= (isForWholeName(key) ? MAX_WHOLE_BLOCK : MAX_NAME_BLOCK);
}

/** Whether the user has said that two cards are others. */
export function isApart(a: DuplicateFacts, b: DuplicateFacts): boolean {
  return (a.apart.size > 0 && a.apart.has(b.uid)) || (b.apart.size > 0 && b.apart.has(a.uid));
}

/**
 * The pairs of cards worth comparing, each once, as places in the book: place of the first times the number of cards, plus
 * that of the second.
 *
 * @returns undefined where it was stopped
 */
export function findCandidates(
  all: readonly DuplicateFacts[],
  onProgress: (share01: number) => boolean,
): Float64Array | undefined {
  const blocks = new Map<string, number[]>();
  all.forEach((one, at) => {
    for (const key of blockKeys(one)) {
      const block = blocks.get(key);
      if (block) block.push(at);
      else blocks.set(key, [at]);
    }
  });
  // Most pairs stand under several keys. Sorted numbers are sooner gone through than a set of them is made.
  const pairs: number[] = [];
  const byInitial = all.map(goesByInitial);
  let done = 0;
  for (const [key, block] of blocks) {
    done += 1;
    if (done % 5000 === 0 && !onProgress(done / blocks.size)) return undefined;
    if (!isUsable(key, block.length)) continue;
    const isInitials = isForInitials(key);
    for (let i = 0; i < block.length; i += 1)
      for (let j = i + 1; j < block.length; j += 1) {
        const [a = 0, b = 0] = [block[i], block[j]];
        if (isInitials && byInitial[a] === false && byInitial[b] === false) continue;
        pairs.push(a * all.length + b);
      }
  }
  const sorted = Float64Array.from(pairs).sort();
  return sorted.filter((pair, i) => pair !== sorted[i - 1]);
}
