/**
 * Taking cards in from outside: what is new, known, changed.
 * Standard: none; a uid names a card (RFC 9553 §2.1.9).
 * Left out: duplicates under another uid.
 */
export { changedValues } from './changedValues';
export { compareIntake, type Intake, latestByUid } from './compareIntake';
