/**
 * Days: counted and added up; and those of the year on cards that come round in a window of time.
 * Standard: anniversaries of RFC 9553 §2.8.1; Gregorian calendar.
 * Left out: whom to greet, and how.
 */
export { addDays, addMonths, daysBetween } from './dayCount';
export { DAY_NAMES } from './dayNames';
export { findUpcoming, type UpcomingDay } from './findUpcoming';
