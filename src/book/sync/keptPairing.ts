import { type AppThunk, type Pairing, pairingChanged, pairingSchema } from '@/book/state';
import { KEYS, parseJson } from '@/book/store';

/** The current pairing: another page may have advanced its cursor. */
export function readPairing(): AppThunk<Promise<void>> {
  return async (dispatch, _, { storage, writer }) => {
    const stored = pairingSchema.safeParse(parseJson(await storage.getItem(KEYS.hub)));
    dispatch(pairingChanged(stored.data));
    writer.queueForHub(stored.success);
  };
}

/** Notes how this browser is paired; undefined for not at all. */
export function setPairing(pairing: Pairing | undefined): AppThunk<Promise<void>> {
  return async (dispatch, _, { writer }) => {
    writer.queueForHub(pairing !== undefined);
    writer.put(KEYS.hub, pairing ? JSON.stringify(pairing) : '');
    await writer.flush();
    // Said once it is stored: the exchange begins with what is.
    dispatch(pairingChanged(pairing));
  };
}
