import type { AppThunk } from '@/book/state';

import type * as Seldom from './seldom';

/** Something of `seldom` that is loaded when it is first dispatched. */
function whenNeeded<Args extends unknown[], Result>(
  pick: (seldom: typeof Seldom) => (...args: Args) => AppThunk<Promise<Result>>,
) {
  return (...args: Args): AppThunk<Promise<Result>> =>
    async (dispatch) =>
      dispatch(pick(await import('./seldom'))(...args));
}

export const changeInBatches = whenNeeded((seldom) => seldom.changeInBatches);
export const changeLong = whenNeeded((seldom) => seldom.changeLong);
export const convertOldHistory = whenNeeded((seldom) => seldom.convertOldHistory);
export const discardSetAside = whenNeeded((seldom) => seldom.discardSetAside);
export const findUnfinished = whenNeeded((seldom) => seldom.findUnfinished);
export const finishLong = whenNeeded((seldom) => seldom.finishLong);
export const keepAsItIs = whenNeeded((seldom) => seldom.keepAsItIs);
export const keepUp = whenNeeded((seldom) => seldom.keepUp);
export const pruneHistory = whenNeeded((seldom) => seldom.pruneHistory);
export const readHistory = whenNeeded((seldom) => seldom.readHistory);
export const readSetAside = whenNeeded((seldom) => seldom.readSetAside);
export const rebuildSummaries = whenNeeded((seldom) => seldom.rebuildSummaries);
