import { type AppThunk, noticeShown, selectSteps, unfinishedFound } from '@/book/state';
import { KEYS } from '@/book/store';
import { texts } from '@/texts/book/commit';

import { discardLong } from './longChange';
import { goOnReplaying } from './replay';

/**
 * What pages that were closed have left half done: what was being undone or redone is gone on with, long changes are
 * offered to be finished or undone. What another page is at stays with it.
 *
 * @param todo - the records of what long changes have still to do
 */
export function findUnfinished(todo: readonly string[]): AppThunk<Promise<void>> {
  return async (dispatch, getState, { ifAlone, writer }) => {
    const nobodyIsAt = async (id: string) => (await ifAlone(id, () => Promise.resolve(true))) === true;
    const steps = selectSteps(getState());
    const found: string[] = [];
    for (const step of steps) {
      if ((!step.todo && !step.replaying) || !(await nobodyIsAt(step.id))) continue;
      if (step.replaying) void dispatch(goOnReplaying(step));
      else if (step.intake === undefined && step.pieces === 0 && step.todo?.pieces === 0) {
        // The page was closed while it was prepared.
        await dispatch(discardLong(step, 0));
        dispatch(noticeShown({ text: texts.hadNotBegun(step.label), tone: 'plain' }));
      } else found.push(step.id);
    }
    if (found.length > 0) dispatch(unfinishedFound(found));
    const known = new Set(steps.flatMap(({ id, todo: one }) => (one && one.pieces > 0 ? id : [])));
    const ids = new Set(todo.map((key) => key.slice(KEYS.todo.length).split(':')[0] ?? ''));
    for (const id of ids)
      if (!known.has(id) && (await nobodyIsAt(id)))
        await writer.remove(todo.filter((key) => key.startsWith(`${KEYS.todo}${id}:`)));
  };
}
