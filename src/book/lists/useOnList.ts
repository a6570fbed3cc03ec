import { selectLists, selectOrder, useAnswer, useAppSelector, useServices } from '@/book/state';
import { shownAs, type Uid } from '@/core/card';
import type { Rule } from '@/core/find';
import { localDay } from '@/platform';

/** Everybody on a list, in the order of the Book; undefined until it is known. Follows every change. */
export function useOnList(uid: Uid): readonly Uid[] | undefined {
  const { search } = useServices();
  return useInOrder(`list ${uid}`, () => search.onList(uid, localDay()));
}

/** Everybody a rule is true of, in the order of the Book; undefined until it is known. Follows every change. */
export function useMatching(rule: Rule): readonly Uid[] | undefined {
  const { search } = useServices();
  return useInOrder(`rule ${JSON.stringify(rule)}`, () => search.matching(rule, localDay()));
}

/** How many people each list has, by its uid; those that aren't known yet are missing. */
export function useListCounts(uids: readonly Uid[]): Readonly<Record<Uid, number>> {
  const { search } = useServices();
  const answer = useAnswer(JSON.stringify(uids), async () => {
    const found = await Promise.all(uids.map((uid) => search.onList(uid, localDay())));
    return Object.fromEntries(uids.map((uid, i) => [uid, found[i]?.length ?? 0]));
  });
  // The previous counts stay while new ones are fetched.
  return answer?.value ?? {};
}

/** The lists that a card is on; none until it is known. Follows every change. */
export function useListsOf(uid: Uid): readonly Uid[] {
  const { search } = useServices();
  return useAnswer(uid, () => search.listsOf(uid, localDay()))?.value ?? [];
}

/** What a list is called; undefined for one that is gone. */
export function useListName(): (uid: Uid) => string | undefined {
  const lists = useAppSelector(selectLists);
  return (uid) => lists.filter((list) => list.uid === uid).map(shownAs)[0];
}

function useInOrder(key: string, ask: () => Promise<Uid[]>): readonly Uid[] | undefined {
  const order = useAppSelector(selectOrder);
  const answer = useAnswer(key, async () => new Set(await ask()));
  return answer?.key === key ? order.filter((uid) => answer.value.has(uid)) : undefined;
}
