import { createSelector } from '@reduxjs/toolkit';

import type { Cluster } from '@/core/duplicates';

import { selectCardsByUid } from '../cards/cardsSlice';
import { selectDuplicates } from './duplicatesSlice';

/** What has been found: by a search of the whole book and by comparing what came; what was merged, kept apart or deleted since is left out. */
export const selectOpenClusters = createSelector(
  [selectDuplicates, selectCardsByUid],
  ({ clusters = [], arrived }, byUid): readonly Cluster[] => {
    const isOpen = ({ uids }: Cluster) => {
      const there = uids.flatMap((uid) => byUid.get(uid) ?? []);
      const isApart = there.some((card) =>
        uids.some((uid) => card['cordialis.example:apart']?.[uid] === true),
      );
      return there.length === uids.length && !isApart;
    };
    const isNews = ({ uids }: Cluster) =>
      !clusters.some((known) => uids.every((uid) => known.uids.includes(uid)));
    return [...arrived.filter(isNews), ...clusters].filter(isOpen);
  },
);
