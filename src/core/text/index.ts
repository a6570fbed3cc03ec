/**
 * Text made comparable.
 * Standard: Unicode normalisation (UAX #15).
 * Left out: ordering, which Intl.Collator does.
 */
export { hashText } from './hashText';
export { foldedWords, foldText } from './foldText';
