import { useEffect } from 'react';

import {
  type DuplicatesState,
  selectDuplicates,
  selectIsOpen,
  selectReading,
  useAppDispatch,
  useAppSelector,
} from '@/book/state';

import { lookForDuplicates } from './lookForDuplicates';
import { selectOpenClusters } from './selectOpenClusters';

/** Duplicates, looked for once the book has been read; what has been merged or kept apart since is left out. */
export function useDuplicates(): Pick<DuplicatesState, 'share01' | 'clusters'> {
  const dispatch = useAppDispatch();
  const { share01, clusters } = useAppSelector(selectDuplicates);
  const open = useAppSelector(selectOpenClusters);
  const isRead = useAppSelector((state) => selectIsOpen(state) && selectReading(state) === undefined);
  const isWanted = isRead && clusters === undefined && share01 === undefined;
  useEffect(() => {
    if (isWanted) void dispatch(lookForDuplicates());
    // Only once: a search that was stopped isn't begun again by itself.
    // eslint-disable-next-line react-hooks/exhaustive-deps -- see above
  }, [dispatch, isRead]);
  return { share01, clusters: clusters ? open : undefined };
}
