import { isSameJson } from '@/core/base';
import type { Card } from '@/core/card';

/** Cards from outside, sorted by what they would do to the book. */
export interface ImportComparison {
  /** Not in the book. */
  readonly fresh: Card[];
  /** In the book, saying the same. */
  readonly same: Card[];
  /** In the book, saying something else. */
  readonly different: Card[];
}

/** The last of the cards with each uid: in a file the later replaces the earlier. */
export function latestByUid(cards: readonly Card[]): Card[] {
  return [...new Map(cards.map((one) => [one.uid, one])).values()];
}

/**
 * Compares cards with those of the book that have the same uid. When a card was written and by which program says
 * nothing about a person and doesn't count. Of several with one uid the last wins.
 */
export function compareImport(
  cards: readonly Card[],
  findCard: (uid: string) => Card | undefined,
): ImportComparison {
  const intake: ImportComparison = { fresh: [], same: [], different: [] };
  for (const card of latestByUid(cards)) {
    const known = findCard(card.uid);
    if (!known) intake.fresh.push(card);
    else if (isSameJson(withoutRecord(known), withoutRecord(card))) intake.same.push(card);
    else intake.different.push(card);
  }
  return intake;
}

function withoutRecord(card: Card): object {
  const { updated: _, created: __, prodId: ___, ...rest } = card;
  return rest;
}
