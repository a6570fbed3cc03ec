import { createAction, type UnknownAction } from '@reduxjs/toolkit';

import { UidMap } from '@/book/clients';
import type { TalkChange } from '@/book/history';
import type { Uid } from '@/core/card';
import { monthOf, type Talk, type TalkSummary } from '@/core/talks';

/** What is kept of all talks with each card, and the months whose talks have been read. */
export interface TalksState {
  readonly summaries: UidMap<TalkSummary>;
  readonly shards: Readonly<Record<string, readonly Talk[]>>;
}

const initialState: TalksState = { summaries: UidMap.empty(), shards: {} };

/** Talks changed on this page or another, or were undone. Unread months stay unread. */
export const talksChanged = createAction<readonly TalkChange[]>('talks/changed');
/** Summaries as they are now; undefined where there is no talk any more. */
export const summariesArrived =
  createAction<readonly (readonly [Uid, TalkSummary | undefined])[]>('talks/summariesArrived');
/** The talks of some months came from the store. */
export const shardsArrived = createAction<Readonly<Record<string, readonly Talk[]>>>('talks/shardsArrived');

/** Talks, as far as they have been read. A plain reducer, as that of the cards is. */
export function talksReducer(state: TalksState = initialState, action: UnknownAction): TalksState {
  if (shardsArrived.match(action)) return { ...state, shards: { ...state.shards, ...action.payload } };
  if (talksChanged.match(action)) return { ...state, shards: withChanges(state.shards, action.payload) };
  if (summariesArrived.match(action)) {
    const there = action.payload.flatMap(([uid, summary]) => (summary ? [[uid, summary] as const] : []));
    const gone = action.payload.flatMap(([uid, summary]) => (summary ? [] : uid));
    return { ...state, summaries: state.summaries.with(there, gone) };
  }
  return state;
}

function withChanges(shards: TalksState['shards'], changes: readonly TalkChange[]): TalksState['shards'] {
  const next: Record<string, readonly Talk[]> = { ...shards };
  for (const { before, after } of changes) {
    if (before) putIn(next, monthOf(before), (talks) => talks.filter(({ id }) => id !== before.id));
    if (after) putIn(next, monthOf(after), (talks) => [...talks.filter(({ id }) => id !== after.id), after]);
  }
  return next;
}

function putIn(
  shards: Record<string, readonly Talk[]>,
  month: string,
  change: (talks: readonly Talk[]) => readonly Talk[],
): void {
  const talks = shards[month];
  if (talks) shards[month] = change(talks);
}

interface WithTalks {
  readonly talks: TalksState;
}

/** What is kept of all talks with each card. */
export const selectSummaries = ({ talks }: WithTalks) => talks.summaries;
/** The months that have been read, with their talks. */
export const selectShards = ({ talks }: WithTalks) => talks.shards;
