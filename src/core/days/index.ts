/**
 * Days of the year on cards: which of them come round in a window of time.
 * Standard: anniversaries of RFC 9553 §2.8.1; Gregorian calendar.
 * Left out: whom to greet, and how.
 */
export { findUpcoming, type UpcomingDay } from './findUpcoming';
