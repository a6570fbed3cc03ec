import { createSelector } from '@reduxjs/toolkit';

import { indexOrganisations } from '@/core/organisations';

import { selectCardsByUid } from '../cards/cardsSlice';

/** Who belongs where; worked out when a card is looked at, and again when cards have changed. */
export const selectOrganisations = createSelector([selectCardsByUid], (byUid) =>
  indexOrganisations(byUid.values()),
);
