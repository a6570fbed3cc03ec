import { createAction } from '@reduxjs/toolkit';

import type { BeforeAfter, Cause, Change } from '@/book/history';
import type { Card, CardRow, Uid } from '@/core/card';

/** Cards in their current state, from the user, the store or another page. */
export interface CardsNow {
  readonly upserts: readonly Card[];
  readonly removed: readonly Uid[];
}

/** The user changed something; it is recorded in the history and written to the store. */
export const bookChanged = createAction<CardsNow & { change: Change; isReplay?: boolean }>('book/changed');

/** Cards came from the store or another page; nothing is to be written. */
export const cardsArrived = createAction<CardsNow>('book/cardsArrived');

/** Rows kept from last time, so that the book shows before its cards are read. */
export const rowsRestored = createAction<readonly CardRow[]>('book/rowsRemembered');

/** Changes came from the store or another page. */
export const changesArrived = createAction<readonly Change[]>('book/changesArrived');

/** A card that was added or changed, as it was before and as it is now. */
export type ChangedCard = BeforeAfter & { readonly after: Card };

/** What changed cards, and which. */
export interface CardsChanged {
  readonly cause: Cause;
  readonly pairs: readonly ChangedCard[];
}

/** Cards have been added or changed and are on their way to the store; Tidy compares them with the rest of the book. */
export const cardsChanged = createAction<CardsChanged>('book/cardsChanged');
