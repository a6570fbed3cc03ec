/**
 * Birthdays and other yearly days as a calendar, to look at in any calendar program.
 * Standard: RFC 5545.
 * Left out: reading calendars; deaths, and birthdays of the dead.
 */
import { FORMAT_FACTS } from '../facts';
import type { CardFormat } from '../format';
import { writeCalendar } from './writeCalendar';

/** RFC 5545; only written. */
export const icalendar: CardFormat = {
  ...FORMAT_FACTS.ics,
  detect: () => 0,
  write: writeCalendar,
};
