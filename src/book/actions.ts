import { createAction } from '@reduxjs/toolkit';

import type { Card, CardRow, Uid } from '@/core/card';

import type { Change } from './history/change';

/** Cards as they are now, from the user, the store or another page. */
export interface CardsNow {
  readonly upserts: readonly Card[];
  readonly removed: readonly Uid[];
}

/** The user changed something; what it was goes to the history and to the store. */
export const bookChanged = createAction<CardsNow & { change: Change; isReplay?: boolean }>('book/changed');

/** Cards came from the store or another page; nothing is to be written. */
export const cardsArrived = createAction<CardsNow>('book/cardsArrived');

/** Rows kept from last time, so that the book shows before its cards are read. */
export const rowsRemembered = createAction<readonly CardRow[]>('book/rowsRemembered');

/** Changes came from the store or another page. */
export const changesArrived = createAction<readonly Change[]>('book/changesArrived');
