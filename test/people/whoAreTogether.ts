// Which of some cards are taken for one in a book of others.
import type { Card } from '@/core/card';
import { duplicateFacts, groupDuplicates } from '@/core/tidy';

type Facts = ReturnType<typeof duplicateFacts>;

/** The cards that are put together in a book of others, by their places: "0 2" is the first and the third. */
export function whoAreTogether(cards: readonly Card[], others: readonly Facts[]): string[] {
  return groupDuplicates([...cards.map((one) => duplicateFacts(one)), ...others])
    .map(({ uids }) =>
      uids.flatMap((uid) => cards.findIndex((one) => one.uid === uid)).filter((at) => at >= 0),
    )
    .filter((places) => places.length > 1)
    .map((places) => places.sort().join(' '));
}
