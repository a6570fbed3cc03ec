import { createSelector } from '@reduxjs/toolkit';

import { hasFlag, shownAs } from '@/core/card';
import { isList } from '@/core/lists';

import { selectCardsByUid } from './cardsSlice';

/** All lists by name, archived ones left out. */
export const selectLists = createSelector([selectCardsByUid], (byUid) => {
  const collator = new Intl.Collator(undefined, { numeric: true });
  return byUid
    .values()
    .filter((card) => isList(card) && !hasFlag(card, 'archived'))
    .sort((a, b) => collator.compare(shownAs(a), shownAs(b)));
});
