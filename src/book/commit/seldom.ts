/** What few pages ever need: loaded when it is needed, all of it at once. */
export { findUnfinished } from './findUnfinished';
export { keepUp } from './keepUp';
export { changeInBatches, changeLong, finishLong, keepAsItIs } from './longChange';
export { convertOldHistory } from './oldHistory';
export { pruneHistory, readHistory } from './pruneHistory';
export { rebuildSummaries } from './rebuildSummaries';
export { discardSetAside, readSetAside } from './setAside';
