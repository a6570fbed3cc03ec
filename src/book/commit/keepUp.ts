import type { AppThunk } from '@/book/state';

import { DAY_MS, lookThroughStore, readUpkeep } from './lookThrough';
import { pruneHistory } from './pruneHistory';

/** Once a day, and on one page only: removes what is kept no longer, and looks through the store where that is due. */
export function keepUp(): AppThunk<Promise<void>> {
  return async (dispatch, _, { ifAlone, nowMs }) => {
    await ifAlone('upkeep', async () => {
      const { at } = await dispatch(readUpkeep());
      if (nowMs() - at < DAY_MS) return;
      const { hasPruned } = await dispatch(pruneHistory());
      await dispatch(lookThroughStore(hasPruned));
    });
  };
}
