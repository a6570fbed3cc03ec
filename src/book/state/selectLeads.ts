import { createSelector } from '@reduxjs/toolkit';

import type { Uid } from '@/core/card';
import { findLeads } from '@/core/tidy';

import { selectCardsByUid } from './cardsSlice';
import { selectRowsByUid } from './rowsSlice';

/**
 * Maps a bundled card's uid to its lead's. Rows tell before the cards have been read;
 * cards tell also where the lead is archived and has no row.
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
