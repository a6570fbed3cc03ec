import { outlivedSteps, type Step } from '@/book/history';
import { type AppThunk, selectSettings, stepsGone } from '@/book/state';
import { KEYS, namesUnder } from '@/book/store';
import { inBatches } from '@/core/base';
import { localDay } from '@/platform';

import { pieceKey } from './noteStep';
import { readSteps } from './readSteps';

/** Steps removed at once, before yielding to the page. */
const PIECE = 50;

/** All steps there are, the oldest first. */
export function readHistory(): AppThunk<Promise<Step[]>> {
  return async (_, __, services) => {
    await services.writer.flush();
    const keys = await services.storage.getAllKeys();
    const ids = namesUnder(keys, KEYS.step);
    return (await readSteps(services, ids.sort())).steps;
  };
}

/** Removes the steps that are kept no longer. @returns what is left, and whether anything went */
export function pruneHistory(): AppThunk<
  Promise<{ readonly left: readonly Step[]; readonly hasPruned: boolean }>
> {
  return async (dispatch, getState, { writer, yieldToPage }) => {
    const { historyYears: years, historyMegabytes: megabytes } = selectSettings(getState());
    const steps = await dispatch(readHistory());
    const gone = outlivedSteps(steps, { years, megabytes }, localDay());
    for (const some of inBatches(gone, PIECE)) {
      dispatch(stepsGone(some.map(({ id }) => id)));
      const keys = some.flatMap(({ id, pieces }) =>
        Array.from({ length: pieces }, (_, at) => pieceKey(id, at)).flatMap((key) => [
          `${KEYS.piece}${key}`,
          `${KEYS.pieceFiles}${key}`,
        ]),
      );
      // The step first: one without pieces would say that it can be undone.
      await writer.remove(some.map(({ id }) => `${KEYS.step}${id}`));
      await writer.remove(keys);
      await yieldToPage();
    }
    const isGone = new Set(gone);
    return { left: steps.filter((step) => !isGone.has(step)), hasPruned: gone.length > 0 };
  };
}
