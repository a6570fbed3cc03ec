import type { UnknownAction } from '@reduxjs/toolkit';

import { UidMap } from '@/book/clients';
import type { Card, Uid } from '@/core/card';

import { bookChanged, cardsArrived, type CardsNow } from './actions';

/** The cards that have been read so far, by uid. */
export interface CardsState {
  readonly byUid: UidMap<Card>;
}

const initialState: CardsState = { byUid: UidMap.empty() };

/**
 * Adds and removes cards. A plain reducer: one made by createSlice traverses every value of every card after each
 * action, looking for drafts (docs/decisions/0007).
 */
export function cardsReducer(state: CardsState = initialState, action: UnknownAction): CardsState {
  if (bookChanged.match(action) || cardsArrived.match(action)) return putCards(state, action.payload);
  return state;
}

function putCards(state: CardsState, { upserts, removed }: CardsNow): CardsState {
  if (upserts.length === 0 && removed.length === 0) return state;
  return {
    byUid: state.byUid.with(
      upserts.map((card) => [card.uid, card] as const),
      removed,
    ),
  };
}

interface WithCards {
  readonly cards: CardsState;
}

/** A card that has been read; undefined for any other. */
export const selectCard = (root: WithCards, uid: Uid): Card | undefined => root.cards.byUid.get(uid);
/** All cards that have been read. */
export const selectCardsByUid = (root: WithCards) => root.cards.byUid;
