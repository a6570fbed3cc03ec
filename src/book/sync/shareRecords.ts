import { type AppThunk, selectHub } from '@/book/state';

import { hearRecords } from './hearRecords';
import { setPairing } from './keptPairing';
import { beginSettings, tellSettings } from './sharedSettings';
import { tellAllTalks, tellTalks } from './tellTalks';

/** Tells the hub of talks and settings that have changed here, then takes in those that have changed there. */
export function shareRecords(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { writer }) => {
    const pairing = selectHub(getState()).pairing;
    if (!pairing) return;
    const isFirst = pairing.records === undefined;
    const { token, records: since = 0 } = pairing;
    if (isFirst) {
      await dispatch(beginSettings());
      await dispatch(tellAllTalks(token));
    }
    await dispatch(tellTalks(token, since));
    // A browser that comes to a book takes that book's settings, and tells those that the book has none of.
    if (!isFirst) await dispatch(tellSettings(token, since));
    const heard = await dispatch(hearRecords(token, since, isFirst));
    if (isFirst) await dispatch(tellSettings(token, heard.since));
    await writer.flush();
    // Only when all of it stands in the store is it noted as known.
    const now = selectHub(getState()).pairing;
    if (heard.isWhole && !writer.isBusy && now?.token === token && heard.since !== now.records)
      await dispatch(setPairing({ ...now, records: heard.since }));
  };
}
