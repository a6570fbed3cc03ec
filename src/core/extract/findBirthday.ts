import { parseTypedDate } from '@/core/base';

import type { TextSpan } from './spans';
import type { TextLine } from './textLines';

/** Labels of a day of birth. Common practice; written from memory. */
const LABEL =
  /(?:born(?: on)?|birthday|date of birth|d\.?o\.?b\.?|geboren(?: am)?|geb\.(?: am)?|geburtstag|geburtsdatum|née? le|date de naissance|anniversaire|fecha de nacimiento|nacid[oa] el|cumpleaños|data di nascita|nat[oa] il|compleanno|geboortedatum|geboren op|verjaardag|data urodzenia|ur\.|urodziny|data de nascimento|nascid[oa] a|aniversário|född|födelsedag|生年月日|誕生日|生日|出生日期)\s*:?\s*/iu;
const DATE =
  /^(?:\d{4}年\d{1,2}月\d{1,2}日|\d{1,4}[./-]\d{1,2}(?:[./-]\d{2,4})?\.?|\d{1,2}\.?(?:st|nd|rd|th|º)?\s+(?:de\s+)?\p{L}+\.?(?:\s+(?:de\s+)?\d{4})?|\p{L}+\s+\d{1,2}(?:,?\s+\d{4})?)/iu;

/** Finds a day of birth that is called so; any other date is none of the person's. */
export function findBirthday(lines: readonly TextLine[]): TextSpan[] {
  for (const line of lines) {
    const label = LABEL.exec(line.text);
    if (!label) continue;
    const from = label.index + label[0].length;
    const shown = DATE.exec(line.text.slice(from))?.[0];
    if (shown !== undefined && parseBirthday(shown))
      return [{ start: line.start + from, end: line.start + from + shown.length, field: 'birthday' }];
  }
  return [];
}

/** Languages whose names of months are tried. */
const LOCALES = ['en', 'de', 'fr', 'es', 'it', 'nl', 'pl', 'pt', 'sv'];

/** The date that a day of birth is written as, in any of the languages that are read. */
export function parseBirthday(text: string): ReturnType<typeof parseTypedDate> {
  const han = /^(\d{4})年(\d{1,2})月(\d{1,2})日$/.exec(text);
  const plain = han ? `${han[1]}-${han[2]}-${han[3]}` : text;
  for (const locale of LOCALES) {
    const date = parseTypedDate(plain, 'day-first', locale);
    if (date) return date;
  }
  return undefined;
}
