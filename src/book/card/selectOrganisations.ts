import { createSelector } from '@reduxjs/toolkit';

import { selectCardsByUid } from '@/book/state';
import { indexOrganisations } from '@/core/card';

/** Who belongs where; worked out when a card is looked at, and again when cards have changed. */
export const selectOrganisations = createSelector([selectCardsByUid], (byUid) =>
  indexOrganisations(byUid.values()),
);
