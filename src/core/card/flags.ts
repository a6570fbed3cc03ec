import type { Card } from './schema/types';

/** What can be switched on or off for a whole card. */
export type Flag = 'archived' | 'pinned' | 'private' | 'unwritten';

const PROPERTIES = {
  archived: 'cordialis.example:archived',
  pinned: 'cordialis.example:pinned',
  private: 'cordialis.example:private',
  unwritten: 'cordialis.example:unwritten',
} as const satisfies Record<Flag, keyof Card>;

/** Whether a card is archived, pinned, private, or of somebody who isn't to be written to. */
export function hasFlag(card: Card, flag: Flag): boolean {
  return card[PROPERTIES[flag]] === true;
}

/** The card with a flag on or off. An archived card isn't pinned any more. */
export function withFlag(card: Card, flag: Flag, isOn: boolean): Card {
  if (hasFlag(card, flag) === isOn) return card;
  const next: Card = { ...card };
  if (isOn) next[PROPERTIES[flag]] = true;
  else delete next[PROPERTIES[flag]];
  if (isOn && flag === 'archived') delete next[PROPERTIES.pinned];
  return next;
}
