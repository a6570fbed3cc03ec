/**
 * Birthdays and other yearly days as a calendar, to look at in any calendar program.
 * Standard: RFC 5545.
 * Left out: reading calendars; deaths, and birthdays of the dead.
 */
import type { CardFormat } from '../format';
import { writeCalendar } from './writeCalendar';

/** RFC 5545; only written. */
export const icalendar: CardFormat = {
  id: 'ics',
  label: 'Calendar of days',
  mediaType: 'text/calendar;charset=utf-8',
  extension: 'ics',
  isLossless: false,
  detect: () => 0,
  write: writeCalendar,
};
