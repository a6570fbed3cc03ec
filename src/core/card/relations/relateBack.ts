import { isSameJson } from '@/core/base';

import type { Card, Uid } from '../schema/types';
import { reverseRelation } from './relationWords';

type Relations = NonNullable<Card['relatedTo']>;

/**
 * What a change of one card's relations means for the others: a relation that came appears there seen from the other
 * side, one that went goes there too. What the others say beyond it stays.
 *
 * @returns the other cards that change
 */
export function relateBack(
  before: Card | undefined,
  after: Card,
  getCard: (uid: Uid) => Card | undefined,
): Card[] {
  const uids = new Set([...Object.keys(before?.relatedTo ?? {}), ...Object.keys(after.relatedTo ?? {})]);
  const changed: Card[] = [];
  for (const uid of uids) {
    const other = getCard(uid);
    if (!other || uid === after.uid) continue;
    const [had, has] = [before?.relatedTo?.[uid], after.relatedTo?.[uid]];
    if (isSameJson(had, has)) continue;
    const relatedTo = turnedAround(other.relatedTo ?? {}, after.uid, { had, has });
    if (isSameJson(relatedTo, other.relatedTo ?? {})) continue;
    const { relatedTo: _, ...rest } = other;
    changed.push(Object.keys(relatedTo).length === 0 ? rest : { ...rest, relatedTo });
  }
  return changed;
}

interface HadAndHas {
  readonly had: Relations[string] | undefined;
  readonly has: Relations[string] | undefined;
}

function turnedAround(relations: Relations, uid: Uid, { had, has }: HadAndHas): Relations {
  const { [uid]: mine, ...others } = relations;
  const gone = reverseRelation(had?.relation);
  const kept = Object.entries(mine?.relation ?? {}).filter(([key]) => !Object.hasOwn(gone, key));
  const relation = { ...Object.fromEntries(kept), ...reverseRelation(has?.relation) };
  // A relation without a kind still counts, as long as the other card has it.
  if (Object.keys(relation).length === 0 && !has) return others;
  return { ...others, [uid]: Object.keys(relation).length === 0 ? { ...mine } : { ...mine, relation } };
}
