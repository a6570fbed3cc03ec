import type { UnknownAction } from '@reduxjs/toolkit';

import type { Card, Uid } from '@/core/card';

import { bookChanged, cardsArrived, type CardsNow } from '../actions';

/** The cards that have been read so far, by uid. */
export interface CardsState {
  readonly byUid: Readonly<Record<Uid, Card>>;
}

const initialState: CardsState = { byUid: {} };

/**
 * Puts cards in and takes them out. A plain reducer: one made by createSlice walks through every value of every card
 * after each action, looking for drafts (docs/decisions/0007).
 */
export function cardsReducer(state: CardsState = initialState, action: UnknownAction): CardsState {
  if (bookChanged.match(action) || cardsArrived.match(action)) return putCards(state, action.payload);
  return state;
}

function putCards(state: CardsState, { upserts, removed }: CardsNow): CardsState {
  if (upserts.length === 0 && removed.length === 0) return state;
  const byUid = { ...state.byUid };
  for (const uid of removed) delete byUid[uid];
  for (const card of upserts) byUid[card.uid] = card;
  return { byUid };
}

interface WithCards {
  readonly cards: CardsState;
}

/** A card that has been read; undefined for any other. */
export const selectCard = (root: WithCards, uid: Uid): Card | undefined => root.cards.byUid[uid];
/** All cards that have been read. */
export const selectCardsByUid = (root: WithCards) => root.cards.byUid;
