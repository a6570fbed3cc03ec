/**
 * Tidy: duplicates, the comparison, gaps and faults, unfiled addresses.
 */
export { ComparePage } from './ComparePage';
export { TidyPage } from './TidyPage';
