import type { Uid } from '@/core/card';

import type { CardTable } from './cardTable';

/** More than this many are sorted whole; fewer are kept in order while all are gone through. */
const MOST_KEPT = 200;

/** Places by score, then by name. */
export function firstByScore(table: CardTable, scores: Float32Array, limit: number): number[] {
  const score = (place: number) => scores[place] ?? 0;
  return firstOf(scores, limit, (a, b) => score(b) - score(a) || compareNames(table, a, b));
}

/** Places by something else than how well they were found, the highest first; then as above. */
export function firstBy(
  table: CardTable,
  scores: Float32Array,
  { order, limit }: { order: (uid: Uid) => number | string; limit: number },
): number[] {
  const keys = new Map<number, number | string>();
  const keyOf = (place: number) => {
    let key = keys.get(place);
    if (key === undefined) {
      key = order(table.slots[place]?.doc.uid ?? '');
      keys.set(place, key);
    }
    return key;
  };
  return firstOf(scores, limit, (a, b) => {
    const [one, other] = [keyOf(a), keyOf(b)];
    if (one !== other) return one < other ? 1 : -1;
    return (scores[b] ?? 0) - (scores[a] ?? 0) || compareNames(table, a, b);
  });
}

function compareNames({ slots }: CardTable, a: number, b: number): number {
  const [one, other] = [slots[a]?.sortKey ?? '', slots[b]?.sortKey ?? ''];
  return one < other ? -1 : Number(one > other);
}

/** The first of those with a score, by an order: one comparison rejects most. */
function firstOf(scores: Float32Array, limit: number, compare: (a: number, b: number) => number): number[] {
  const kept: number[] = [];
  for (let place = 0; place < scores.length; place += 1) {
    if (scores[place] === 0) continue;
    if (limit > MOST_KEPT) {
      kept.push(place);
      continue;
    }
    const last = kept.at(-1);
    if (kept.length >= limit && (last === undefined || compare(place, last) >= 0)) continue;
    let [low, high] = [0, kept.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (compare(kept[middle] ?? 0, place) <= 0) low = middle + 1;
      else high = middle;
    }
    kept.splice(low, 0, place);
    if (kept.length > limit) kept.pop();
  }
  return limit > MOST_KEPT ? kept.sort(compare).slice(0, limit) : kept;
}
