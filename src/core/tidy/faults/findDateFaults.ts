import { dayNumberOf, formatPartialDate, isRealDate, type PartialDate, toPartialDate } from '@/core/base';
import type { Card } from '@/core/card';
import { texts } from '@/texts/tidy/faults';

import type { Fault } from './fault';

/** An age that nobody is known to have reached. Our choice. */
const LONGEST_LIFE = 123;

/** Days that the calendar doesn't have, births to come, lives that are too long, ends before beginnings. */
export function findDateFaults(card: Card, today: string): Fault[] {
  const faults: Fault[] = [];
  const born = dateOf(card, 'birth');
  for (const [id, { kind, date }] of Object.entries(card.anniversaries ?? {})) {
    const day = toPartialDate(date);
    const says = faultOf(kind, day, born, today);
    if (says === undefined) continue;
    const shown = isRealDate(day)
      ? formatPartialDate(day, 'en-GB')
      : [day.day, day.month, day.year].filter(Boolean).join('.');
    faults.push({
      ...{
        code: 'impossible-date',
        uid: card.uid,
        path: ['anniversaries', id, 'date'],
        was: date,
        shown,
        says,
      },
    });
  }
  return faults;
}

function faultOf(
  kind: string,
  day: PartialDate,
  born: PartialDate | undefined,
  today: string,
): string | undefined {
  if (!isRealDate(day)) return texts.isNotDateInCalendar;
  const year = Number(today.slice(0, 4));
  if (kind === 'birth' && isAfter(day, today)) return texts.isBirthdayInFuture;
  if (kind === 'birth' && day.year !== undefined && year - day.year > LONGEST_LIFE)
    return texts.wouldMakeAgeOf(year - day.year);
  if (kind === 'death' && isAfter(day, today)) return texts.isDateOfDeath;
  if (kind !== 'birth' && born?.year !== undefined && day.year !== undefined && day.year < born.year)
    return texts.isBeforeBirthday;
  return undefined;
}

function isAfter(day: PartialDate, today: string): boolean {
  if (day.year === undefined) return false;
  const number = dayNumberOf(day.year, day.month ?? 1, day.day ?? 1);
  const [year = 0, month = 1, date = 1] = today.split('-').map(Number);
  return number > dayNumberOf(year, month, date);
}

function dateOf(card: Card, wanted: string): PartialDate | undefined {
  const entry = Object.values(card.anniversaries ?? {}).find(({ kind }) => kind === wanted);
  return entry ? toPartialDate(entry.date) : undefined;
}
