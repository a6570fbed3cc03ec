import type { Card } from '@/core/card';
import { type Merged, mergeThree } from '@/core/sync';

import { readArgs } from '../input/readArgs';
import { readCardFile, UnusableInput } from '../input/readCardFile';

/** `merge BASE MINE THEIRS`: what two sides have made of one card, put together, and what is to settle. */
export function merge(args: readonly string[]): Merged {
  const { words } = readArgs(args, {
    usage: 'merge BASE MINE THEIRS, three files of one card each',
    words: 3,
  });
  const [base, mine, theirs] = words.map(cardOf) as [Card, Card, Card];
  return mergeThree(base, mine, theirs);
}

function cardOf(path: string): Card {
  const { cards } = readCardFile(path);
  const [card] = cards;
  if (!card || cards.length > 1) throw new UnusableInput(`${path}: has ${cards.length} cards, not one`);
  return card;
}
