import { type Card, nameParts, newCard, parseName } from '@/core/card';

import type { Dice } from './random';

/** A second card of the same person as books have them: some of the values, written otherwise. Its uid ends in -duplicate. */
export function duplicateOf(card: Card, dice: Dice): Card {
  const [given, surname] = [nameParts(card.name, 'given'), nameParts(card.name, 'surname')];
  const name = parseName(
    dice.pick([
      `${given} ${surname}`,
      `${given.charAt(0)}. ${surname}`,
      `${surname}, ${given}`,
      `${given} ${surname.slice(0, -1)}`,
    ]),
  );
  const duplicate: Card = {
    ...newCard(`${card.uid}-duplicate`, '2026-01-01T00:00:00Z'),
    ...(name ? { name } : {}),
  };
  const kept = dice.below(4);
  if (kept !== 1 && card.emails) duplicate.emails = card.emails;
  if (kept !== 2 && card.phones) duplicate.phones = card.phones;
  if (kept === 3 && card.organizations) duplicate.organizations = card.organizations;
  if (dice.chance(0.3) && card.anniversaries) duplicate.anniversaries = card.anniversaries;
  return duplicate;
}
