import { GB } from 'chrono-node/en';

import { parseTypedDate } from './parseTypedDate';
import { toPartialDate } from './partialDate';

/** Words that the library doesn't know. */
const SAID: readonly (readonly [RegExp, string])[] = [
  [/\ba fortnight\b/gi, 'two weeks'],
  [/\b(\d+|two|three|four) fortnights\b/gi, '$1 weeks'],
  [/\bbeginning of\b/gi, 'first week of'],
];

/**
 * A day in words, today or later: "in ten days", "first week of March", "on Friday", "12.1.", "2027-03-01".
 *
 * @param today - ISO 8601 calendar date where the user is
 * @returns ISO 8601 calendar date; undefined where it is no day, or one that is over
 */
export function parseWhen(text: string, today: string, locale?: string): string | undefined {
  const plain = text.trim();
  if (plain === '') return undefined;
  const figures = fromFigures(plain, today, locale);
  if (figures !== undefined) return figures;
  const [found] = parseWords(plain, today);
  if (!found) return undefined;
  const when = dayOf(found);
  return when >= today ? when : undefined;
}

/** A day to come that some text speaks of. */
export interface SpokenDay {
  /** The words that say it: "in ten days". */
  readonly words: string;
  /** ISO 8601 calendar date. */
  readonly day: string;
}

/**
 * The first day after today that a text speaks of, such as "… call again in ten days"; undefined where it speaks of
 * none. A month or a year alone is no day.
 */
export function findWhen(text: string, today: string): SpokenDay | undefined {
  for (const found of parseWords(text, today)) {
    const day = dayOf(found);
    const isDay = ['day', 'weekday'].some((part) => found.start.isCertain(part as 'day' | 'weekday'));
    if (isDay && day > today) return { words: found.text, day };
  }
  return undefined;
}

function parseWords(text: string, today: string) {
  const words = SAID.reduce((said, [from, to]) => said.replace(from, to), text);
  // Noon, so that no time zone can move it to another day.
  return GB.parse(words, new Date(`${today}T12:00:00`), { forwardDate: true });
}

function dayOf({ start }: ReturnType<typeof parseWords>[number]): string {
  const [year, month, day] = (['year', 'month', 'day'] as const).map((part) => start.get(part) ?? 0);
  return `${pad(year, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
}

/** A day of the calendar; without a year it is the next time that it comes round. */
function fromFigures(text: string, today: string, locale: string | undefined): string | undefined {
  const date = parseTypedDate(text, 'day-first', locale);
  if (!date) return undefined;
  const { year, month, day } = toPartialDate(date);
  if (month === undefined || day === undefined) return undefined;
  const inYear = (of: number) => `${pad(of, 4)}-${pad(month, 2)}-${pad(day, 2)}`;
  const thisYear = Number(today.slice(0, 4));
  const when =
    year === undefined ? (inYear(thisYear) < today ? inYear(thisYear + 1) : inYear(thisYear)) : inYear(year);
  return when >= today ? when : undefined;
}

function pad(figure: number | undefined, width: number): string {
  return String(figure ?? 0).padStart(width, '0');
}
