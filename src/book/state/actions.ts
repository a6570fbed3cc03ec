import { createAction } from '@reduxjs/toolkit';

import type { BeforeAfter, Cause, Step } from '@/book/history';
import type { Card, CardRow, Uid } from '@/core/card';

/** Cards in their current state, from the user, the store or another page. */
export interface CardsNow {
  readonly upserts: readonly Card[];
  readonly removed: readonly Uid[];
}

/** The user changed something; it is recorded in the history and written to the store. */
export const bookChanged = createAction<CardsNow & { step: Step; isReplay?: boolean }>('book/changed');

/** Cards came from the store or another page; nothing is to be written. */
export const cardsArrived = createAction<CardsNow>('book/cardsArrived');

/** Rows kept from last time, so that the book shows before its cards are read. */
export const rowsRestored = createAction<readonly CardRow[]>('book/rowsRemembered');

/** Steps of the history came from the store or another page. */
export const stepsArrived = createAction<readonly Step[]>('book/stepsArrived');

/** Steps of the history are gone: they had become too old, or too many. */
export const stepsGone = createAction<readonly string[]>('book/stepsGone');

/** Long changes that a page which was closed has left half done, by their steps. */
export const unfinishedFound = createAction<readonly string[]>('book/unfinishedFound');

/** A card that was added or changed, as it was before and as it is now. */
export type ChangedCard = BeforeAfter & { readonly after: Card };

/** What changed cards, and which. */
export interface CardsChanged {
  readonly cause: Cause;
  readonly pairs: readonly ChangedCard[];
}

/** Cards have been added or changed and are on their way to the store; Tidy compares them with the rest of the book. */
export const cardsChanged = createAction<CardsChanged>('book/cardsChanged');
