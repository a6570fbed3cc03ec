import { DAY_NAMES } from '@/core/base';
import { formatCount } from '@/platform';

/** What a day of the year is called on a row of the almanac: "birthday, 46 years". */
export function dayWords(kind: string, years: number | null): string {
  const reached = years === null || years === 0 ? '' : `, ${formatCount(years, 'year', 'years')}`;
  return `${DAY_NAMES[kind] ?? 'anniversary'}${reached}`;
}

/** Why somebody is greeted today. */
export function greetingWhy(kind: string, years: number | null): string {
  const isFirst = years === null || years === 0;
  if (kind === 'birth') return years === 0 ? 'Born today' : isFirst ? 'Birthday' : `Turns ${years}`;
  if (kind === 'wedding')
    return isFirst ? 'Wedding day' : `Married for ${formatCount(years, 'year', 'years')}`;
  return isFirst ? 'Anniversary' : `Anniversary, ${formatCount(years, 'year', 'years')}`;
}
