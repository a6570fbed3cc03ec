import type { Card, Uid } from '@/core/card';

import type { AppThunk } from './appStore';
import { selectCardsByUid } from './cardsSlice';
import { selectReading } from './statusSlice';

/** Reads one card before its turn, when it is looked at while the book is still being read. */
export function readCardNow(uid: Uid): AppThunk<Promise<Card | undefined>> {
  return async (_, getState, services) => {
    // Once all are read, an unknown card doesn't exist; its key may, until its removal is written.
    if (selectReading(getState()) === undefined || services.writer.isWaiting(uid)) return undefined;
    await services.writer.readCards([uid]);
    return selectCardsByUid(getState()).get(uid);
  };
}
