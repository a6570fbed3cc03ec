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

/** Remembers an address of the user's own; a known one changes nothing. */
export function noteOwnAddress(address: string): AppThunk {
  return (dispatch, getState) => {
    const { ownAddresses } = selectSettings(getState());
    const own = address.trim().toLowerCase();
    if (!ownAddresses.includes(own)) dispatch(changeSettings({ ownAddresses: [...ownAddresses, own] }));
  };
}

/** Remembers that something has been done, read or found of no use, so that it isn't offered again. */
export function noteStepOver(step: string): AppThunk {
  return (dispatch, getState) => {
    const { stepsOver } = selectSettings(getState());
    dispatch(changeSettings({ stepsOver: [...new Set([...stepsOver, step])] }));
  };
}

/** The most tables whose columns are remembered. */
const MAX_REMEMBERED = 40;

/** Remembers what the columns of a table say, for the next file with the same headings. */
export function rememberColumns(key: string, columns: readonly string[]): AppThunk {
  return (dispatch, getState) => {
    const { [key]: _, ...others } = selectSettings(getState()).tableColumns;
    const kept = Object.entries(others).slice(-MAX_REMEMBERED + 1);
    dispatch(changeSettings({ tableColumns: { ...Object.fromEntries(kept), [key]: [...columns] } }));
  };
}
