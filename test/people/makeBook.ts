// A book of cards with the truth about them, for measuring how well duplicates are found. Made by the ways in which books go
// wrong, without a look at how they are found. The same size and seed give the same book.
import type { Card, Uid } from '@/core/card';
import { Dice } from '@/demo/random';

import { World } from './makePeople';
import { cardsOf, firmCard } from './writeCards';

/** Cards, and who each of them is. */
export interface KnownBook {
  readonly cards: readonly Card[];
  readonly whose: ReadonlyMap<Uid, string>;
}

/** Makes up a book of about `size` cards; some 17 of 100 people have several. */
export function makeKnownBook(size: number, seed: number): KnownBook {
  const dice = new Dice(seed);
  const world = new World(dice, size);
  const known: { card: Card; who: string }[] = [];
  const add = (who: string, cards: readonly Card[]) => {
    for (const card of cards) known.push({ card, who });
  };
  for (const firm of world.allFirms) {
    if (!dice.chance(0.6)) continue;
    add(
      firm.id,
      Array.from({ length: dice.chance(0.25) ? 2 : 1 }, () => firmCard(firm, firm.place, dice)),
    );
    // A branch has the name, and everything else of its own.
    if (dice.chance(0.05)) {
      const branch = {
        ...firm,
        id: `${firm.id}b`,
        number: world.numberOf(firm.culture, false),
        domain: `b.${firm.domain}`,
      };
      add(branch.id, [firmCard(branch, world.placeOf(firm.culture), dice)]);
    }
  }
  while (known.length < size)
    for (const person of world.household()) {
      const count = dice.chance(0.17) ? 2 + (dice.chance(0.3) ? 1 + Number(dice.chance(0.25)) : 0) : 1;
      add(person.id, cardsOf(person, count, dice));
    }
  // Nobody's cards stand side by side in a real book.
  for (let i = known.length - 1; i > 0; i -= 1) {
    const j = dice.below(i + 1);
    const [a, b] = [known[i], known[j]];
    if (a && b) [known[i], known[j]] = [b, a];
  }
  return {
    cards: known.map(({ card }) => card),
    whose: new Map(known.map(({ card, who }) => [card.uid, who])),
  };
}
