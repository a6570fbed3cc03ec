/**
 * Finding cards as one types: word beginnings in any field, any part of a number, a letter wrong, limits by rules.
 * Standard: Unicode normalisation for what counts as the same letter.
 * Left out for now: ranking by closeness, what was said in talks.
 */
export { findCards, type FoundCards } from './findCards';
export { compareBeginning } from './nearness';
export { type Hit, type LocatedCard, type QueryOptions, SearchIndex } from './searchIndex';
export { searchWords } from './searchWords';
export { type SearchDoc, toSearchDoc } from './toSearchDoc';
export type { NamedPoint } from './whereabouts';
