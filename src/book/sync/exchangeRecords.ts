import { type AppThunk, type Pairing, selectHub } from '@/book/state';

import { setPairing } from './keptPairing';
import { pullRecords } from './pullRecords';
import { pushAllTalks, pushGoneTalks, pushTalks } from './pushTalks';
import { beginSettings, pushSettings } from './sharedSettings';

/** Pushes changed talks and settings, then pulls. */
export function exchangeRecords(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { writer }) => {
    const pairing = selectHub(getState()).pairing;
    if (!pairing) return;
    const isFirst = pairing.records === undefined;
    const { token, records: since = 0 } = pairing;
    if (pairing.isAhead === true) await dispatch(pushRecordsAgain(pairing, since));
    if (isFirst) {
      await dispatch(beginSettings());
      await dispatch(pushAllTalks(pairing));
    }
    await dispatch(pushTalks(pairing, since));
    // A browser that joins a book takes its settings, and pushes those that the book lacks.
    if (!isFirst) await dispatch(pushSettings(pairing, since));
    const pulled = await dispatch(pullRecords(pairing, since, isFirst));
    if (isFirst) await dispatch(pushSettings(pairing, pulled.since));
    await writer.flush();
    // The cursor moves only when everything is in the store.
    const now = selectHub(getState()).pairing;
    if (pulled.isWhole && !writer.isBusy && now?.token === token && pulled.since !== now.records)
      await dispatch(setPairing({ ...now, records: pulled.since }));
  };
}

/** Gives a hub that was restored the talks and settings it had no more, and takes from it what had been deleted. */
function pushRecordsAgain(pairing: Pairing, since: number): AppThunk<Promise<void>> {
  return async (dispatch, _, { hub }) => {
    const known = await hub.known(pairing.token, { cards: 0, records: since });
    const here = await dispatch(pushAllTalks(pairing, since));
    await dispatch(
      pushGoneTalks(
        pairing,
        since,
        known.talks.filter((id) => !here.has(id)),
      ),
    );
    await dispatch(pushSettings(pairing, since, true));
  };
}
