import { type AppThunk, selectHub } from '@/book/state';

import { setPairing } from './keptPairing';
import { pullRecords } from './pullRecords';
import { pushAllTalks, pushTalks } from './pushTalks';
import { beginSettings, pushSettings } from './sharedSettings';

/** Tells the hub of talks and settings that have changed here, then takes in those that have changed there. */
export function exchangeRecords(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { writer }) => {
    const pairing = selectHub(getState()).pairing;
    if (!pairing) return;
    const isFirst = pairing.records === undefined;
    const { token, records: since = 0 } = pairing;
    if (isFirst) {
      await dispatch(beginSettings());
      await dispatch(pushAllTalks(token));
    }
    await dispatch(pushTalks(token, since));
    // A browser that comes to a book takes that book's settings, and tells those that the book has none of.
    if (!isFirst) await dispatch(pushSettings(token, since));
    const heard = await dispatch(pullRecords(token, since, isFirst));
    if (isFirst) await dispatch(pushSettings(token, heard.since));
    await writer.flush();
    // Only when all of it stands in the store is it noted as known.
    const now = selectHub(getState()).pairing;
    if (heard.isWhole && !writer.isBusy && now?.token === token && heard.since !== now.records)
      await dispatch(setPairing({ ...now, records: heard.since }));
  };
}
