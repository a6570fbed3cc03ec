import type { Card } from '@/core/card';

import { mergeCards, type MergeChoices } from './mergeCards';

/** Merges each group into one card; the fullest keeps its uid. An empty group gives none. */
export function mergeGroups(groups: readonly (readonly Card[])[], choices: MergeChoices = {}): Card[] {
  return groups.flatMap((group) => {
    const [first, ...others] = fullestFirst(group);
    return first ? [mergeCards([first, ...others], choices)] : [];
  });
}

/** Cards by how much is on them, the fullest first; of equal ones the older first. */
export function fullestFirst(cards: readonly Card[]): Card[] {
  const sizes = new Map(cards.map((card) => [card.uid, JSON.stringify(card).length]));
  const sizeOf = ({ uid }: Card) => sizes.get(uid) ?? 0;
  return [...cards].sort((a, b) => sizeOf(b) - sizeOf(a) || ((a.created ?? '') < (b.created ?? '') ? -1 : 1));
}
