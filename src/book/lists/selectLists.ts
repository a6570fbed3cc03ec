import { createSelector } from '@reduxjs/toolkit';

import { shownAs } from '@/core/card';
import { isList } from '@/core/lists';
import { hasFlag } from '@/core/marks';

import { selectCardsByUid } from '../cards/cardsSlice';

/** All lists by name, archived ones left out. */
export const selectLists = createSelector([selectCardsByUid], (byUid) => {
  const collator = new Intl.Collator(undefined, { numeric: true });
  return byUid
    .values()
    .filter((card) => isList(card) && !hasFlag(card, 'archived'))
    .sort((a, b) => collator.compare(shownAs(a), shownAs(b)));
});
