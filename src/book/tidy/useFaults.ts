import { createSelector } from '@reduxjs/toolkit';

import { selectCardsByUid, selectDuplicates, useAppSelector } from '@/book/state';
import { type Fault, isStillWrong } from '@/core/tidy';

const selectOpenFaults = createSelector(
  [(state: Parameters<typeof selectDuplicates>[0]) => selectDuplicates(state).faults, selectCardsByUid],
  (faults, byUid): readonly Fault[] => faults.filter((fault) => isStillWrong(byUid.get(fault.uid), fault)),
);

/** What is wrong with cards, as far as it was found and is still so. */
export function useFaults(): readonly Fault[] {
  return useAppSelector(selectOpenFaults);
}
