import { changeSettings } from '@/book/commit';
import { type AppThunk, selectSettings } from '@/book/state';

/** Remembers an address of the user's own; a known one changes nothing. */
export function noteOwnAddress(address: string): AppThunk {
  return (dispatch, getState) => {
    const { ownAddresses } = selectSettings(getState());
    const own = address.trim().toLowerCase();
    if (!ownAddresses.includes(own)) dispatch(changeSettings({ ownAddresses: [...ownAddresses, own] }));
  };
}
