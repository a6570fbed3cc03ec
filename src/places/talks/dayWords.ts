import { DAY_NAMES } from '@/core/base';
import { texts } from '@/texts/talks/talks';

/** What a day of the year is called on a row of the almanac: "birthday, 46 years". */
export function dayWords(kind: string, years: number | null): string {
  const day = DAY_NAMES[kind] ?? texts.anniversaryWord;
  return years === null || years === 0 ? day : texts.withYears(day, years);
}

/** Why somebody is greeted today. */
export function greetingWhy(kind: string, years: number | null): string {
  const isFirst = years === null || years === 0;
  if (kind === 'birth') return years === 0 ? texts.bornToday : isFirst ? texts.birthday : texts.turns(years);
  if (kind === 'wedding') return isFirst ? texts.weddingDay : texts.marriedForYears(years);
  return isFirst ? texts.anniversary : texts.anniversaryYears(years);
}
