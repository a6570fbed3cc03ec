import { createSlice, original } from '@reduxjs/toolkit';

import { bookChanged, changesArrived } from '../actions';
import type { Change } from './change';

/** Steps kept at hand; older ones stay in the store. */
const MAX_AT_HAND = 300;

interface HistoryState {
  /** Oldest first. */
  readonly changes: readonly Change[];
}

const initialState: HistoryState = { changes: [] };

/** What was done to the book, for undo, redo and the log. */
export const historySlice = createSlice({
  name: 'history',
  initialState,
  reducers: {},
  extraReducers: (builder) => {
    builder
      .addCase(changesArrived, (state, { payload }) => ({
        changes: merged((original(state) ?? initialState).changes, payload),
      }))
      .addCase(bookChanged, (state, { payload }) => {
        const { changes } = original(state) ?? initialState;
        if (payload.isReplay) return { changes: merged(changes, [payload.change]) };
        return { changes: merged(changes.map(dropIfUndone), [payload.change]) };
      });
  },
  selectors: {
    selectUndoable: (state): Change | undefined => state.changes.findLast(({ state: now }) => now === 'done'),
    selectRedoable: (state): Change | undefined => {
      const lastDone = state.changes.findLastIndex(({ state: now }) => now === 'done');
      return state.changes.slice(lastDone + 1).find(({ state: now }) => now === 'undone');
    },
    selectChange: (state, id: string): Change | undefined => state.changes.find((change) => change.id === id),
  },
});

/** A step taken back can't be made again once something else has been done. */
function dropIfUndone(change: Change): Change {
  return change.state === 'undone' ? { ...change, state: 'dropped' } : change;
}

function merged(known: readonly Change[], arrived: readonly Change[]): Change[] {
  const byId = new Map([...known, ...arrived].map((change) => [change.id, change]));
  return [...byId.values()].sort((a, b) => (a.id < b.id ? -1 : 1)).slice(-MAX_AT_HAND);
}

export const { selectUndoable, selectRedoable, selectChange } = historySlice.selectors;
