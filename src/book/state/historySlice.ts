import { createSelector, type UnknownAction } from '@reduxjs/toolkit';

import type { Step } from '@/book/history';

import { bookChanged, stepsArrived, stepsGone, unfinishedFound } from './actions';

/** Steps kept in memory; older ones stay in the store. */
const MAX_AT_HAND = 300;

/** The steps in memory. */
export interface HistoryState {
  /** Oldest first; without what they did. */
  readonly steps: readonly Step[];
  /** Long changes that a page which was closed has left half done. */
  readonly unfinished: readonly string[];
}

const initialState: HistoryState = { steps: [], unfinished: [] };

/** What was done to the book, for undo, redo and the log. A plain reducer, as that of the cards is. */
export function historyReducer(state: HistoryState = initialState, action: UnknownAction): HistoryState {
  if (stepsArrived.match(action)) return { ...state, steps: merged(state.steps, action.payload) };
  if (unfinishedFound.match(action)) return { ...state, unfinished: action.payload };
  if (stepsGone.match(action)) {
    const gone = new Set(action.payload);
    return { ...state, steps: state.steps.filter(({ id }) => !gone.has(id)) };
  }
  if (bookChanged.match(action)) {
    const { step, isReplay } = action.payload;
    // What devices and other browsers do leaves alone what can be redone here.
    const isNew = isReplay !== true && step.cause !== 'sync';
    const before = isNew ? state.steps.map(dropIfUndone) : state.steps;
    return { ...state, steps: merged(before, [step]) };
  }
  return state;
}

interface WithHistory {
  readonly history: HistoryState;
}

/** The steps in memory, the oldest first. */
export const selectSteps = ({ history }: WithHistory): readonly Step[] => history.steps;

/**
 * The step that Undo undoes: the last one made here that is over. What a device or another browser did is undone from its
 * log; what is still under way is stopped.
 */
export const selectUndoable = ({ history }: WithHistory): Step | undefined =>
  history.steps.findLast((step) => step.state === 'done' && isOwn(step) && !isUnderWay(step));

/** The step that Redo redoes. */
export function selectRedoable({ history }: WithHistory): Step | undefined {
  const lastDone = history.steps.findLastIndex((step) => step.state === 'done' && isOwn(step));
  return history.steps
    .slice(lastDone + 1)
    .find((step) => step.state === 'undone' && isOwn(step) && !isUnderWay(step));
}

/** A step in memory. */
export const selectStep = ({ history }: WithHistory, id: string): Step | undefined =>
  history.steps.find((step) => step.id === id);

/** Long changes that a page which was closed has left half done, to be finished or undone. */
export const selectUnfinished = createSelector(
  [selectSteps, ({ history }: WithHistory) => history.unfinished],
  (steps, ids) => steps.filter((step) => step.todo !== undefined && ids.includes(step.id)),
);

function isOwn({ cause }: Step): boolean {
  return cause !== 'sync';
}

function isUnderWay({ todo, replaying }: Step): boolean {
  return todo !== undefined || replaying !== undefined;
}

/** An undone step can't be redone once something else has been done. */
function dropIfUndone(step: Step): Step {
  return step.state === 'undone' ? { ...step, state: 'dropped' } : step;
}

function merged(known: readonly Step[], arrived: readonly Step[]): Step[] {
  const byId = new Map([...known, ...arrived].map((step) => [step.id, step]));
  return [...byId.values()].sort((a, b) => (a.id < b.id ? -1 : 1)).slice(-MAX_AT_HAND);
}
