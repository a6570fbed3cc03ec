import { useEffect, useMemo } from 'react';

import { selectCardsByUid } from '../cards/cardsSlice';
import { useAppDispatch, useAppSelector } from '../hooks';
import { selectIsOpen, selectReading } from '../status/statusSlice';
import { type DuplicatesState, selectDuplicates } from './duplicatesSlice';
import { lookForDuplicates } from './lookForDuplicates';

/** Duplicates, looked for once the book has been read; what has been merged or kept apart since is left out. */
export function useDuplicates(): DuplicatesState {
  const dispatch = useAppDispatch();
  const { share01, clusters } = useAppSelector(selectDuplicates);
  const byUid = useAppSelector(selectCardsByUid);
  const isRead = useAppSelector((state) => selectIsOpen(state) && selectReading(state) === undefined);
  const isWanted = isRead && clusters === undefined && share01 === undefined;
  useEffect(() => {
    if (isWanted) void dispatch(lookForDuplicates());
    // Only once: a search that was stopped isn't begun again by itself.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, [dispatch, isRead]);
  const open = useMemo(
    () =>
      clusters?.filter(({ uids }) => {
        const there = uids.flatMap((uid) => byUid.get(uid) ?? []);
        const isApart = there.some((card) =>
          uids.some((uid) => card['cordialis.example:apart']?.[uid] === true),
        );
        return there.length === uids.length && !isApart;
      }),
    [byUid, clusters],
  );
  return { share01, clusters: open };
}
