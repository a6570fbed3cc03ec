import { type AppThunk, type Pairing, selectCardsByUid, selectHub } from '@/book/state';

import { setPairing } from './keptPairing';
import { pushAll, pushGone } from './pushToHub';

/** The hub's answer to cursors of another epoch (RFC 9110 §15.5.13: a precondition that doesn't hold). */
export const OTHER_EPOCH = 412;

/**
 * Brings the cursors into the hub's epoch. What happened since the backup is as if it hadn't for the hub: where this browser knows
 * of it, it is ahead, and pushes again what the hub lacks.
 *
 * @param isOther - the hub has just said that it is in another epoch
 */
export function joinEpoch(isOther: boolean): AppThunk<Promise<void>> {
  return async (dispatch, getState, { hub }) => {
    const { pairing } = selectHub(getState());
    if (!pairing || (pairing.epoch !== undefined && !isOther)) return;
    const { epoch, shared } = await hub.epoch(pairing);
    const { since, records } = pairing;
    const isAhead = shared !== null && (since > shared.cards || (records ?? 0) > shared.records);
    await dispatch(
      setPairing({
        ...{ ...pairing, epoch, since: Math.min(since, shared?.cards ?? since) },
        ...(records === undefined ? {} : { records: Math.min(records, shared?.records ?? records) }),
        ...(isAhead ? { isAhead: true } : {}),
      }),
    );
  };
}

/** Gives a hub that was restored the cards it has no more, or as they were, and takes from it those that had been deleted. */
export function pushAgain(pairing: Pairing): AppThunk<Promise<void>> {
  return async (dispatch, getState, { hub }) => {
    const { cards } = await hub.known(pairing.token, { cards: pairing.since, records: 0 });
    await dispatch(pushAll(pairing));
    const here = selectCardsByUid(getState());
    await dispatch(
      pushGone(
        pairing,
        cards.filter((uid) => !here.has(uid)),
      ),
    );
  };
}
