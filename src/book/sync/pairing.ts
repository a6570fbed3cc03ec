import { type AppThunk, exchangeFinished, selectHub } from '@/book/state';
import { texts } from '@/texts/sync/sync';

import { setPairing } from './keptPairing';

/**
 * Pairs this browser with the hub by a code; the exchange begins by itself. @throws HubFault where the code is not
 * good
 */
export function pairWithHub(code: string, name: string): AppThunk<Promise<void>> {
  return async (dispatch, _, { hub }) => {
    const paired = await hub.pair(code, name);
    dispatch(exchangeFinished({ fault: '' }));
    await dispatch(setPairing({ ...paired, since: 0, isFirst: true }));
  };
}

let demoPairing: Promise<void> | undefined;

/** Pairs a demo, which holds nobody's data, without a code; concurrent calls pair once. @throws HubFault */
export function pairDemo(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { hub }) => {
    if (selectHub(getState()).pairing) return;
    demoPairing ??= hub
      .demoCode()
      .then((code) => dispatch(pairWithHub(code, texts.browser)))
      .finally(() => (demoPairing = undefined));
    await demoPairing;
  };
}

/** Ends the exchange; cards stay as they are, here and there. */
export function unpairFromHub(): AppThunk<Promise<void>> {
  return async (dispatch, getState, { hub }) => {
    const { pairing } = selectHub(getState());
    const ended = () => dispatch(exchangeFinished({ fault: texts.itWasEndedInThisBrowser }));
    // Said before as well: a demo that sees itself unpaired without a reason pairs itself again.
    ended();
    await dispatch(setPairing(undefined));
    ended();
    // The hub may be off: this browser forgets the pairing all the same.
    if (pairing) await hub.unpair(pairing.token).catch(() => undefined);
  };
}
