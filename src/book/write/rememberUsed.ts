import { changeSettings } from '@/book/commit';
import { type AppThunk, selectSettings } from '@/book/state';
import type { Recipient } from '@/core/write';

/** Remembers at which of their addresses people were written to: the next message goes there, too. */
export function rememberUsed(people: readonly Recipient[]): AppThunk {
  return (dispatch, getState) => {
    const several = people.filter(({ uid, addresses }) => uid !== undefined && addresses.length > 1);
    if (several.length === 0) return;
    const used = Object.fromEntries(several.map(({ key, address }) => [key, address]));
    dispatch(changeSettings({ usedAddresses: { ...selectSettings(getState()).usedAddresses, ...used } }));
  };
}
