/**
 * Merging: several cards of one person or organisation made into one, with nothing lost.
 * Standard: entries and their ids as in RFC 9553; numbers are the same by E.164, mail addresses without regard to case.
 * Left out: finding what to merge (core/duplicates); taking it back, which is the history's (book).
 */
export { mergeCards, type MergeChoices } from './mergeCards';
export { fullestFirst } from './fullestFirst';
export { type Entry, meaningOf, UNITED, type United } from './sameEntry';
export { uniteEntries } from './uniteEntries';
export { mergeGroups } from './mergeGroups';
