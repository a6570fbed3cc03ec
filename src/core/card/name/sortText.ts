import type { Card } from '../schema/types';
import { nameParts, splitParticles } from './nameParts';
import { shownAs } from './shownAs';

/** How the book is put in order. */
export interface SortOrder {
  /** By the name, or by what comes before it: the organisation, the town, the day of adding (latest first). */
  readonly by: 'surname' | 'given' | 'organisation' | 'place' | 'added';
  /** Whether "van Dijk" stands under v. */
  readonly particlesCount: boolean;
}

/**
 * The text by which a card is sorted: what its own `sortAs` says, else surname then given name (or the other way
 * round), else what it is shown as. To be compared by a collator of the user's locale (CLDR, UTS #35 part 5).
 */
export function sortText(card: Card, order: SortOrder): string {
  const { name } = card;
  if (card.kind === 'org') return firstSortAs(card) ?? shownAs(card);
  const full = nameParts(name, 'surname', 'surname2');
  const stem = order.particlesCount ? full : splitParticles(full).stem;
  const surname =
    name?.sortAs?.['surname'] ?? (stem !== full ? `${stem} ${splitParticles(full).particles}` : full);
  const given = name?.sortAs?.['given'] ?? nameParts(name, 'given', 'given2');
  const parts = order.by === 'given' ? [given, surname] : [surname, given];
  return parts.filter(Boolean).join(' ') || shownAs(card);
}

function firstSortAs(card: Card): string | undefined {
  if (card.name?.full !== undefined || card.name?.components !== undefined) return undefined;
  return Object.values(card.organizations ?? {})[0]?.sortAs;
}
