import { type DuplicatesReport, findDuplicatesInWorker, type Job } from '@/book/clients';
import {
  type AppThunk,
  duplicatesFound,
  searchProgressed,
  selectCardsByUid,
  selectSettings,
} from '@/book/state';
import { localDay } from '@/platform';

let job: Job<DuplicatesReport> | undefined;

/** Finds duplicates and faults in the whole book; a search under way is restarted. */
export function lookForDuplicates(): AppThunk<Promise<void>> {
  return async (dispatch, getState) => {
    job?.stop();
    dispatch(searchProgressed(0));
    const cards = selectCardsByUid(getState())
      .values()
      .filter(({ kind }) => kind !== 'group');
    const { country } = selectSettings(getState());
    const mine = findDuplicatesInWorker(cards, { country, today: localDay() }, (share01) =>
      dispatch(searchProgressed(share01)),
    );
    job = mine;
    try {
      dispatch(duplicatesFound(await mine.result));
    } catch {
      // Stopped; what was found before stays.
      if (job === mine) dispatch(searchProgressed(undefined));
    }
  };
}

/** Ends a search that is under way. */
export function stopLooking(): AppThunk {
  return () => job?.stop();
}
