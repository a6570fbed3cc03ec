import { createSlice, original } from '@reduxjs/toolkit';

import type { Card, Uid } from '@/core/card';

import { bookChanged, cardsArrived, type CardsNow } from '../actions';

interface CardsState {
  readonly byUid: Readonly<Record<Uid, Card>>;
}

const initialState: CardsState = { byUid: {} };

/** The cards that have been read so far, by uid. */
export const cardsSlice = createSlice({
  name: 'cards',
  initialState,
  reducers: {},
  extraReducers: (builder) => {
    builder
      .addCase(bookChanged, (state, { payload }) => putCards(original(state) ?? initialState, payload))
      .addCase(cardsArrived, (state, { payload }) => putCards(original(state) ?? initialState, payload));
  },
  selectors: {
    selectCard: (state, uid: Uid): Card | undefined => state.byUid[uid],
    selectCardsByUid: (state) => state.byUid,
  },
});

/** A new map in place of a drafted one: drafting ten thousand cards to put one in would cost more than copying. */
function putCards(state: CardsState, { upserts, removed }: CardsNow): CardsState {
  const byUid = { ...state.byUid };
  for (const uid of removed) delete byUid[uid];
  for (const card of upserts) byUid[card.uid] = card;
  return { byUid };
}

export const { selectCard, selectCardsByUid } = cardsSlice.selectors;
