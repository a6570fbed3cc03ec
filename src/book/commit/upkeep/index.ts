/**
 * Upkeep: what the store needs from time to time, so that it stays true and doesn't only grow.
 */
export { keepUp } from './keepUp';
export { DAY_MS, lookThroughStore, readUpkeep } from './lookThrough';
export { type HistorySize, pruneHistory, readHistory, sizeOfHistory } from './pruneHistory';
export { rebuildSummaries } from './rebuildSummaries';
