import { changeSettings } from '@/book/commit';
import { type AppThunk, selectSettings } from '@/book/state';
import type { Uid } from '@/core/card';

/** How many acts are remembered: as many as the list above the line shows. */
const MAX_ACTS = 8;

/** Remembers what was done from the quick line, so that it comes first the next time. */
export function noteAct(uid: Uid, verb: string): AppThunk {
  return (dispatch, getState) => {
    const { recentActs } = selectSettings(getState());
    const others = recentActs.filter((act) => act.uid !== uid || act.verb !== verb);
    dispatch(changeSettings({ recentActs: [{ uid, verb }, ...others].slice(0, MAX_ACTS) }));
  };
}
