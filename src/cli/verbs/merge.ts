import type { Card } from '@/core/card';
import { type Merged, mergeThree } from '@/core/sync';

import { readCardFile, UnusableInput } from '../input/readCardFile';

/** `merge BASE MINE THEIRS`: what two sides have made of one card, put together, and what is to settle. */
export function merge(files: readonly string[]): Merged {
  if (files.length !== 3)
    throw new UnusableInput('usage: book merge BASE MINE THEIRS, three files of one card each');
  const [base, mine, theirs] = files.map(cardOf) as [Card, Card, Card];
  return mergeThree(base, mine, theirs);
}

function cardOf(path: string): Card {
  const { cards } = readCardFile(path);
  const [card] = cards;
  if (!card || cards.length > 1) throw new UnusableInput(`${path}: has ${cards.length} cards, not one`);
  return card;
}
