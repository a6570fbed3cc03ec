import { isRealDate, type PartialDate } from './partialDate';

/** How an ambiguous date in digits is read: "3/2" is 3 February or March 2nd. */
export type FigureOrder = 'day-first' | 'month-first';

/**
 * Reads a date as people type it, with or without the year: 3 February 1968, 3 Feb, February 3, 1968-02-03,
 * 3.2.1968, 03/02, February 1968, 1968.
 *
 * @param locale - BCP 47; month names of English are understood beside its own
 * @returns undefined where it is no date of the calendar
 */
export function parseTypedDate(
  text: string,
  order: FigureOrder = 'day-first',
  locale = 'en',
): PartialDate | undefined {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/(\d)(st|nd|rd|th|º|\.)(?=\s|$)/g, '$1');
  const date = readFigures(plain, order) ?? readWords(plain, locale);
  return date && isRealDate(date) ? date : undefined;
}

function readFigures(text: string, order: FigureOrder): PartialDate | undefined {
  const iso = /^(\d{4})-(\d\d?)(?:-(\d\d?))?$/.exec(text);
  if (iso) return dateOf(iso[1], iso[2], iso[3]);
  const yearless = /^--(\d\d)(?:-?(\d\d))?$/.exec(text);
  if (yearless) return dateOf(undefined, yearless[1], yearless[2]);
  if (/^\d{4}$/.test(text)) return dateOf(text, undefined, undefined);
  const figures = /^(\d\d?)\s*[./-]\s*(\d\d?)(?:\s*[./-]\s*(\d{4}))?\.?$/.exec(text);
  if (!figures) return undefined;
  const [, first, second, year] = figures;
  return order === 'day-first' ? dateOf(year, second, first) : dateOf(year, first, second);
}

function readWords(text: string, locale: string): PartialDate | undefined {
  // "3 de febrero de 1968", "3rd of February".
  const bare = text.replace(/\b(?:de|of)\b|\bd['’]/g, ' ');
  const word = /\p{L}+/u.exec(bare)?.[0] ?? '';
  const month = monthOf(word, locale);
  if (month === undefined) return undefined;
  const figures = bare.replace(word, ' ');
  const rest = figures.match(/\d+/g) ?? [];
  const [year] = rest.filter((part) => part.length === 4);
  const [day, ...more] = rest.filter((part) => part.length <= 2);
  if (more.length > 0 || /[^\d\s.,]/.test(figures)) return undefined;
  return dateOf(year, String(month), day);
}

function dateOf(year: string | undefined, month: string | undefined, day: string | undefined): PartialDate {
  return {
    ...(year === undefined ? {} : { year: Number(year) }),
    ...(month === undefined ? {} : { month: Number(month) }),
    ...(day === undefined ? {} : { day: Number(day) }),
  };
}

/** The month that a word of at least three letters begins; undefined where it could be two, or none. */
function monthOf(word: string, locale: string): number | undefined {
  for (const language of [locale, 'en']) {
    const format = new Intl.DateTimeFormat(language, { month: 'long', timeZone: 'UTC' });
    const names = Array.from({ length: 12 }, (_, i) =>
      format.format(new Date(Date.UTC(2000, i, 1))).toLowerCase(),
    );
    const matches = names.flatMap((name, i) =>
      name === word || (word.length >= 3 && name.startsWith(word)) ? [i + 1] : [],
    );
    if (matches.length === 1) return matches[0];
  }
  return undefined;
}
