import { type AppThunk, selectHub } from '@/book/state';

import { setPairing } from './keptPairing';
import { pullRecords } from './pullRecords';
import { pushAllTalks, pushTalks } from './pushTalks';
import { beginSettings, pushSettings } from './sharedSettings';

/** Pushes changed talks and settings, then pulls. */
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
    // A browser that joins a book takes its settings, and pushes those that the book lacks.
    if (!isFirst) await dispatch(pushSettings(token, since));
    const pulled = await dispatch(pullRecords(token, since, isFirst));
    if (isFirst) await dispatch(pushSettings(token, pulled.since));
    await writer.flush();
    // The cursor moves only when everything is in the store.
    const now = selectHub(getState()).pairing;
    if (pulled.isWhole && !writer.isBusy && now?.token === token && pulled.since !== now.records)
      await dispatch(setPairing({ ...now, records: pulled.since }));
  };
}
