/**
 * Gaps and faults: what on a card can't be right, and what is missing.
 * Standard: E.164 through libphonenumber, RFC 5321 for mail addresses, the Gregorian calendar.
 * Left out: whether a number is answered or a mailbox read; duplicates (core/duplicates).
 */
export { FaultFinder, type FaultOptions } from './faultFinder';
