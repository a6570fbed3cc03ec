import { countOf } from '../plural';

/** Addresses without a card. */
export const texts = {
  added: (name: string) => `Added ${name}`,
  addedCards: (count: number) => `Added ${countOf(count, { one: 'card', other: 'cards' })}`,
};
