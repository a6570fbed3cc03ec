/**
 * Finding cards as one types: word beginnings in any field, any part of a number.
 * Standard: Unicode normalisation for what counts as the same letter.
 * Left out for now: typing errors, limits such as "in Wexmere", ranking by closeness.
 */
export { type Hit, SearchIndex } from './searchIndex';
export { type Field, FIELDS, type SearchDoc, toSearchDoc } from './toSearchDoc';
