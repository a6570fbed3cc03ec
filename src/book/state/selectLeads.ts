import { createSelector } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';
import { findLeads } from '@/core/tidy';

import { selectCardsByUid } from './cardsSlice';
import { selectRowsByUid } from './rowsSlice';

/**
 * By the uid of each card that another stands for, the uid of that one. Rows say it before the cards have been read;
 * cards say it also where the one that stands for the others is archived and has no row.
 */
export const selectLeads = createSelector(
  [selectRowsByUid, selectCardsByUid],
  (rows, cards): ReadonlyMap<Uid, Uid> => {
    const leading = new Map<Uid, readonly Uid[]>();
    for (const { uid, bundled } of rows.values()) if (bundled) leading.set(uid, bundled);
    for (const { uid, 'cordialis.example:bundled': bundled } of cards.values())
      if (bundled) leading.set(uid, Object.keys(bundled));
    return findLeads([...leading].map(([uid, bundled]) => ({ uid, bundled })));
  },
  { memoizeOptions: { resultEqualityCheck: isSameMap } },
);

function isSameMap(a: ReadonlyMap<Uid, Uid>, b: ReadonlyMap<Uid, Uid>): boolean {
  return a.size === b.size && [...a].every(([uid, lead]) => b.get(uid) === lead);
}
