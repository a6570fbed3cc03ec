/**
 * Birthdays, other yearly days and reminders as a calendar, to look at in any calendar program; invitations.
 * Standard: RFC 5545, RFC 5546.
 * Left out: reading calendars; deaths, and birthdays of the dead.
 */
import { FORMAT_FACTS } from '../format/facts';
import type { CardFormat } from '../format/format';
import { writeCalendar } from './writeCalendar';

export { type Invitation, writeInvitation } from './writeInvitation';

/** RFC 5545; only written. */
export const icalendar: CardFormat = {
  ...FORMAT_FACTS.ics,
  detect: () => 0,
  write: writeCalendar,
};
