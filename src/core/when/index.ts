/**
 * When: a day in words, as people say when they will talk next.
 * Standard: ISO 8601 for the answer; the words by chrono-node.
 * Left out: other languages than English, times of day.
 */
export { findWhen, parseWhen, type SaidDay } from './parseWhen';
