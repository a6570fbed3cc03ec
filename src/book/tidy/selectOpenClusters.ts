import { createSelector } from '@reduxjs/toolkit';

import { selectCardsByUid, selectDuplicates, selectLeads } from '@/book/state';
import type { Cluster } from '@/core/tidy';

/**
 * Open clusters, from a search of the whole book and from checking new cards; merged, kept apart or deleted ones are
 * left out.
 */
export const selectOpenClusters = createSelector(
  [selectDuplicates, selectCardsByUid, selectLeads],
  ({ clusters = [], arrived }, byUid, leads): readonly Cluster[] => {
    const isOpen = ({ uids }: Cluster) => {
      const there = uids.flatMap((uid) => byUid.get(uid) ?? []);
      const isApart = there.some((card) =>
        uids.some((uid) => card['cordialis.example:apart']?.[uid] === true),
      );
      // A bundle has been looked at: its cards are known to be one.
      const isBundle = new Set(uids.map((uid) => leads.get(uid) ?? uid)).size === 1;
      return there.length === uids.length && !isApart && !isBundle;
    };
    const isNews = ({ uids }: Cluster) =>
      !clusters.some((known) => uids.every((uid) => known.uids.includes(uid)));
    return [...arrived.filter(isNews), ...clusters].filter(isOpen);
  },
);
