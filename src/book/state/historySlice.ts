import type { UnknownAction } from '@reduxjs/toolkit';

import type { Change } from '@/book/history';

import { bookChanged, changesArrived } from './actions';

/** Steps kept in memory; older ones stay in the store. */
const MAX_AT_HAND = 300;

/** The steps in memory. */
export interface HistoryState {
  /** Oldest first. */
  readonly changes: readonly Change[];
}

const initialState: HistoryState = { changes: [] };

/** What was done to the book, for undo, redo and the log. A plain reducer, as that of the cards is. */
export function historyReducer(state: HistoryState = initialState, action: UnknownAction): HistoryState {
  if (changesArrived.match(action)) return { changes: merged(state.changes, action.payload) };
  if (bookChanged.match(action)) {
    const { change, isReplay } = action.payload;
    // What devices and other browsers do leaves alone what can be redone here.
    const isNew = isReplay !== true && change.cause !== 'sync';
    const before = isNew ? state.changes.map(dropIfUndone) : state.changes;
    return { changes: merged(before, [change]) };
  }
  return state;
}

interface WithHistory {
  readonly history: HistoryState;
}

/** The steps in memory, the oldest first. */
export const selectHistory = ({ history }: WithHistory): readonly Change[] => history.changes;

/** The step that Undo undoes: the last one made here. What a device or another browser did is undone from its log. */
export const selectUndoable = ({ history }: WithHistory): Change | undefined =>
  history.changes.findLast(({ state, cause }) => state === 'done' && cause !== 'sync');

/** The step that Redo redoes. */
export function selectRedoable({ history }: WithHistory): Change | undefined {
  const lastDone = history.changes.findLastIndex(({ state, cause }) => state === 'done' && cause !== 'sync');
  return history.changes
    .slice(lastDone + 1)
    .find(({ state, cause }) => state === 'undone' && cause !== 'sync');
}

/** A step in memory. */
export const selectChange = ({ history }: WithHistory, id: string): Change | undefined =>
  history.changes.find((change) => change.id === id);

/** An undone step can't be redone once something else has been done. */
function dropIfUndone(change: Change): Change {
  return change.state === 'undone' ? { ...change, state: 'dropped' } : change;
}

function merged(known: readonly Change[], arrived: readonly Change[]): Change[] {
  const byId = new Map([...known, ...arrived].map((change) => [change.id, change]));
  return [...byId.values()].sort((a, b) => (a.id < b.id ? -1 : 1)).slice(-MAX_AT_HAND);
}
