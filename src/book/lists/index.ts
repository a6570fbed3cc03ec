/**
 * Lists: who is on them, and which are found by name.
 */
export { foundBy, useFoundByName } from './useFoundByName';
export { useListCounts, useListName, useListsOf, useMatching, useOnList } from './useOnList';
export { type Reason, useReasons } from './useReasons';
