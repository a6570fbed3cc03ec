import { useEffect, useState } from 'react';

import type { Uid } from '@/core/card';
import type { Rule } from '@/core/rules';
import { localDay } from '@/platform';

import { selectCardsByUid } from '../cards/cardsSlice';
import { useAppSelector, useServices } from '../hooks';
import { selectOrder } from '../rows/rowsSlice';

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
  const byUid = useAppSelector(selectCardsByUid);
  const [counts, setCounts] = useState<Readonly<Record<Uid, number>>>({});
  const key = uids.join(' ');
  useEffect(() => {
    let isCurrent = true;
    const asked = key === '' ? [] : key.split(' ');
    void Promise.all(asked.map((uid) => search.onList(uid, localDay()))).then((found) => {
      if (isCurrent) setCounts(Object.fromEntries(asked.map((uid, i) => [uid, found[i]?.length ?? 0])));
    });
    return () => {
      isCurrent = false;
    };
  }, [byUid, key, search]);
  return counts;
}

/** The lists that a card is on; none until it is known. Follows every change. */
export function useListsOf(uid: Uid): readonly Uid[] {
  const { search } = useServices();
  const byUid = useAppSelector(selectCardsByUid);
  const [found, setFound] = useState<readonly Uid[]>([]);
  useEffect(() => {
    let isCurrent = true;
    void search.listsOf(uid, localDay()).then((lists) => {
      if (isCurrent) setFound(lists);
    });
    return () => {
      isCurrent = false;
    };
  }, [byUid, search, uid]);
  return found;
}

function useInOrder(key: string, ask: () => Promise<Uid[]>): readonly Uid[] | undefined {
  const byUid = useAppSelector(selectCardsByUid);
  const order = useAppSelector(selectOrder);
  const [found, setFound] = useState<{ key: string; uids: ReadonlySet<Uid> }>();
  useEffect(() => {
    let isCurrent = true;
    void ask().then((uids) => {
      if (isCurrent) setFound({ key, uids: new Set(uids) });
    });
    return () => {
      isCurrent = false;
    };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the question
  }, [byUid, key]);
  return found?.key === key ? order.filter((uid) => found.uids.has(uid)) : undefined;
}
