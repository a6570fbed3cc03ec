import { useMemo } from 'react';

import { useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import type { Cluster } from '@/core/tidy';

import { selectOpenClusters } from './selectOpenClusters';

/** The clusters found so far in which a card is, likely or certain; nothing is looked for. */
export function useDuplicatesOf(uid: Uid): readonly Cluster[] {
  const clusters = useAppSelector(selectOpenClusters);
  return useMemo(
    () => clusters.filter(({ uids, grade }) => grade !== 'possible' && uids.includes(uid)),
    [clusters, uid],
  );
}
