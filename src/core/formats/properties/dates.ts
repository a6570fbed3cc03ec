import { isRealDate, isSameJson, type PartialDate, toPartialDate } from '@/core/base';
import type { AnniversaryDate } from '@/core/card';

/** RFC 6350 §4.3.1 with and without hyphens: 19850412, 1985-04-12, 1985-04, 1985, --0412, --04-12, --04. */
const DATE = /^(?:(\d{4})-?(\d\d)-?(\d\d)|(\d{4})-(\d\d)|(\d{4})|--(\d\d)-?(\d\d)|--(\d\d))$/;

/** RFC 6350 §4.3.2 and §4.3.5, both spellings; groups: hour, minute, second, zone. */
const TIME = /^(\d\d):?(\d\d)?:?(\d\d)?(?:\.\d+)?(Z|[+-]\d\d(?::?\d\d)?)?$/;

/** What a date value says; `time` where there is one that a day alone can't hold. */
export interface ReadDate {
  readonly date: AnniversaryDate;
  readonly time?: string;
}

/**
 * Reads a date-and-or-time value (RFC 6350 §4.3) or a date of vCard 3.0.
 *
 * @returns undefined where it is text, a day without a month, or a day that no calendar has
 */
export function readDate(value: string): ReadDate | undefined {
  const [day = '', time] = value.trim().split(/[Tt ]/, 2);
  const date = readDay(day);
  if (!date) return undefined;
  // Midnight somewhere is how programs without a type for days write a day.
  if (time === undefined || /^[0:.]+([+-][\d:]+)?$/.test(time)) return { date };
  const utc = readTimestamp(`${value.trim()}`);
  // Where it was another day in Greenwich, the day stands as it is written.
  const isThatDay = utc !== undefined && isSameJson(toPartialDate({ utc }), date);
  return isThatDay ? { date: { '@type': 'Timestamp', utc } } : { date, time };
}

function readDay(text: string): PartialDate | undefined {
  const match = DATE.exec(text);
  if (!match) return undefined;
  const numberOf = (group: number) => (match[group] === undefined ? undefined : Number(match[group]));
  const year = numberOf(1) ?? numberOf(4) ?? numberOf(6);
  const month = numberOf(2) ?? numberOf(5) ?? numberOf(7) ?? numberOf(9);
  const day = numberOf(3) ?? numberOf(8);
  const date: PartialDate = {
    ...(year === undefined ? {} : { year }),
    ...(month === undefined ? {} : { month }),
    ...(day === undefined ? {} : { day }),
  };
  return isRealDate(date) ? date : undefined;
}

/** The form that nearly every REV has. */
const IN_UTC = /^(\d{4})-?(0[1-9]|1[0-2])-?([01]\d|2[0-8])T([01]\d|2[0-3]):?([0-5]\d):?([0-5]\d)Z$/;

/** A complete point in time with its zone, as a UTCDateTime (RFC 9553 §1.4.5); undefined for any other text. */
export function readTimestamp(value: string): string | undefined {
  const plain = IN_UTC.exec(value);
  if (plain && plain[3] !== '00') {
    const [, year = '', month = '', day = '', hour = '', minute = '', second = ''] = plain;
    return `${year}-${month}-${day}T${hour}:${minute}:${second}Z`;
  }
  const [day = '', time = ''] = value.trim().split(/[Tt ]/, 2);
  const date = readDay(day);
  const clock = TIME.exec(time);
  const zone = clock?.[4];
  if (date?.year === undefined || date.month === undefined || date.day === undefined || !clock || !zone)
    return undefined;
  const [hour, minute, second] = [clock[1], clock[2], clock[3]].map((part) => Number(part ?? 0));
  const offset = /^([+-])(\d\d):?(\d\d)?$/.exec(zone);
  const minutes = offset
    ? (Number(offset[2]) * 60 + Number(offset[3] ?? 0)) * (offset[1] === '-' ? -1 : 1)
    : 0;
  const utc = new Date(0);
  utc.setUTCFullYear(date.year, date.month - 1, date.day);
  utc.setUTCHours(hour ?? 0, (minute ?? 0) - minutes, second ?? 0);
  const text = `${utc.toISOString().slice(0, 19)}Z`;
  return /^\d{4}-/.test(text) ? text : undefined;
}

/** A date as vCard 4.0 (basic, RFC 6350 §4.3) or 3.0 (extended, RFC 2426 §3.1.5) writes it. */
export function formatDate(date: AnniversaryDate, isBasic: boolean): string {
  if ('utc' in date) return isBasic ? date.utc.replace(/[-:]/g, '') : date.utc;
  const year = date.year === undefined ? undefined : String(date.year).padStart(4, '0');
  const month = date.month === undefined ? undefined : String(date.month).padStart(2, '0');
  const day = date.day === undefined ? undefined : String(date.day).padStart(2, '0');
  // "1985-04" keeps its hyphen in both, as 198504 could be a short day (RFC 6350 §4.3.1).
  if (day === undefined) return month === undefined ? (year ?? '') : `${year ?? '-'}-${month}`;
  const hyphen = isBasic ? '' : '-';
  return year === undefined
    ? `--${month ?? ''}${hyphen}${day}`
    : `${year}${hyphen}${month ?? ''}${hyphen}${day}`;
}
