/**
 * Sync: what two sides have made of a card since they last agreed, put together entry by entry.
 * Standard: cards and the ids of their entries by RFC 9553, paths by RFC 6901; three-way merging is common practice.
 * Left out: fetching and sending (hub), and what to do with a card that one side has deleted as a whole.
 */
export { alignEntries } from './alignEntries';
export { deviceChange, type DeviceSays, type Keeps, noteKeeps } from './deviceChange';
export { type Conflict, mergeThree, type Merged } from './mergeThree';
export { isSameValue } from './sameValue';
