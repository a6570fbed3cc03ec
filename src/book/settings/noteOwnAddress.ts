import { changeSettings } from '@/book/commit';
import { type AppThunk, selectSettings } from '@/book/state';

/** Remembers an address from which the user has written as theirs; one that is known already changes nothing. */
export function noteOwnAddress(address: string): AppThunk {
  return (dispatch, getState) => {
    const { ownAddresses } = selectSettings(getState());
    const own = address.trim().toLowerCase();
    if (!ownAddresses.includes(own)) dispatch(changeSettings({ ownAddresses: [...ownAddresses, own] }));
  };
}
