import { useMemo } from 'react';

import { useOnList } from '@/book/lists';
import { selectCardsByUid, selectOrder, selectRowsByUid, useAppSelector } from '@/book/state';
import type { Card } from '@/core/card';

/** The cards of the table, in the order of the Book: all, of one kind, or of a list; undefined until that is known. */
export function useTableCards(who: string): readonly Card[] | undefined {
  const order = useAppSelector(selectOrder);
  const rows = useAppSelector(selectRowsByUid);
  const byUid = useAppSelector(selectCardsByUid);
  const isList = who !== 'all' && who !== 'people' && who !== 'organisations';
  const onList = useOnList(isList ? who : '');
  const uids = isList ? onList : order;
  return useMemo(
    () =>
      uids?.flatMap((uid) => {
        const card = byUid.get(uid);
        const isOrg = rows.get(uid)?.isOrg === true;
        const isWanted = isList || who === 'all' || isOrg === (who === 'organisations');
        return card && isWanted ? [card] : [];
      }),
    [uids, byUid, rows, isList, who],
  );
}
