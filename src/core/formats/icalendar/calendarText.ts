import type { Params } from '../contentLines/contentLine';
import { foldLine } from '../contentLines/foldLine';
import { formatContentLine } from '../contentLines/formatContentLine';

/** The text of a calendar (RFC 5545 §3.4) with some lines in it. */
export function calendarText(lines: readonly string[]): string {
  const all = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'PRODID:-//cordialis.example//Cordialis//EN',
    'CALSCALE:GREGORIAN',
    ...lines,
    'END:VCALENDAR',
  ];
  return `${all.map(foldLine).join('\r\n')}\r\n`;
}

/** One property as a content line (RFC 5545 §3.1). */
export function property(name: string, value: string, params: Params = {}): string {
  return formatContentLine({ name, params, value, line: 0 });
}

/** A UTCDateTime as calendars write it: 20261124T100000Z. */
export function calendarMoment(utc: string): string {
  return utc.replace(/[-:]|\.\d+/g, '');
}
