import type { Card } from '../card';

/** Cards by how much is on them, the fullest first; of equal ones the older first. */
export function fullestFirst(cards: readonly Card[]): Card[] {
  const sizes = new Map(cards.map((card) => [card.uid, JSON.stringify(card).length]));
  const sizeOf = ({ uid }: Card) => sizes.get(uid) ?? 0;
  return [...cards].sort((a, b) => sizeOf(b) - sizeOf(a) || ((a.created ?? '') < (b.created ?? '') ? -1 : 1));
}
