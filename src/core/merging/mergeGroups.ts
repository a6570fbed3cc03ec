import type { Card } from '../card';
import { fullestFirst } from './fullestFirst';
import { mergeCards, type MergeChoices } from './mergeCards';

/** Makes one card of each group; the fullest of a group keeps its uid. A group without a card gives none. */
export function mergeGroups(groups: readonly (readonly Card[])[], choices: MergeChoices = {}): Card[] {
  return groups.flatMap((group) => {
    const [first, ...others] = fullestFirst(group);
    return first ? [mergeCards([first, ...others], choices)] : [];
  });
}
