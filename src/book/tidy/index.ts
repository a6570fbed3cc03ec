/**
 * Tidy: looking for duplicates and faults, merging, bundles, what has been done.
 */
export { bundleInBook, takeOutOfBundle } from './changeBundle';
export { checkArrivals } from './checkArrivals';
export { dismissFaults, fixFaults } from './fixFaults';
export { lookForDuplicates, stopLooking } from './lookForDuplicates';
export { keepApart, mergeInBook, unmerge } from './mergeInBook';
export { type TidyState, useTidyLog } from './tidyLog';
export { useBundle } from './useBundle';
export { useDuplicates } from './useDuplicates';
export { useDuplicatesOf } from './useDuplicatesOf';
export { useFaults } from './useFaults';
export { useMergedInto } from './useMergedInto';
