import type { PartialDate } from '@/core/base';

import type { DuplicateFacts } from '../facts/facts';
import type { Vocabulary } from '../facts/vocabulary';
import { isOneSlipApart } from './slips';

/** How two birthdays agree; near is one without a year in the same month or on the same day of one. */
export type BirthLevel =
  'missing' | 'same' | 'day' | 'slip' | 'near' | 'otherYear' | 'differ' | 'year' | 'years';

/** Compares two birthdays, as much of them as both have. */
export function compareBirths(a: PartialDate | undefined, b: PartialDate | undefined): BirthLevel {
  if (!a || !b) return 'missing';
  const hasDays =
    a.month !== undefined && b.month !== undefined && a.day !== undefined && b.day !== undefined;
  const hasYears = a.year !== undefined && b.year !== undefined;
  const sameYear = hasYears && a.year === b.year;
  if (!hasDays) return hasYears ? (sameYear ? 'year' : 'years') : 'missing';
  if (a.month === b.month && a.day === b.day) return sameYear ? 'same' : hasYears ? 'otherYear' : 'day';
  const isSwapped = a.month === b.day && a.day === b.month;
  if (a.month !== b.month && a.day !== b.day && !isSwapped) return 'differ';
  if (!hasYears) return isSwapped ? 'slip' : 'near';
  return isSwapped || sameYear ? 'slip' : 'differ';
}

/** How two cards' addresses agree. */
export type PlaceLevel = 'missing' | 'street' | 'town' | 'differ';
/** How their employers, or their titles, agree. */
export type WorkLevel = 'missing' | 'same' | 'differ';
/** How Jr and Sr agree; oneSaid is one card without. */
export type GenerationLevel = 'missing' | 'same' | 'oneSaid' | 'differ';

/** What two cards have in common, and the chance that another card has it. */
export interface Common<Level extends string> {
  readonly level: Level;
  /** 0 to 1; 1 where nothing is in common. */
  readonly chance: number;
}

/** The same street, the same town, or others. */
export function comparePlaces(
  a: DuplicateFacts,
  b: DuplicateFacts,
  vocabulary: Vocabulary,
): Common<PlaceLevel> {
  const street = common(a.streets, b.streets);
  const town = common(a.towns, b.towns);
  const isOneTown = a.towns.length === 0 || b.towns.length === 0 || town !== undefined;
  if (street !== undefined && isOneTown) return { level: 'street', chance: vocabulary.chanceOf('a', street) };
  if (town !== undefined) return { level: 'town', chance: vocabulary.chanceOf('t', town) };
  const areBoth = a.towns.length > 0 && b.towns.length > 0 && a.placeScript === b.placeScript;
  return { level: areBoth ? 'differ' : 'missing', chance: 1 };
}

/** The same employer, or others. */
export function compareWork(a: DuplicateFacts, b: DuplicateFacts, vocabulary: Vocabulary): Common<WorkLevel> {
  const employer = common(a.employers, b.employers);
  if (employer !== undefined && employer !== '')
    return { level: 'same', chance: vocabulary.chanceOf('o', employer) };
  return { level: a.employers.length > 0 && b.employers.length > 0 ? 'differ' : 'missing', chance: 1 };
}

/** The same title, or others. */
export function compareTitles({ titles: a }: DuplicateFacts, { titles: b }: DuplicateFacts): WorkLevel {
  if (a.length === 0 || b.length === 0) return 'missing';
  return common(a, b) === undefined ? 'differ' : 'same';
}

/** Jr and Sr, III and none. */
export function compareGenerations(a: string, b: string): GenerationLevel {
  if (a === b) return a === '' ? 'missing' : 'same';
  return a === '' || b === '' ? 'oneSaid' : 'differ';
}

function common(a: readonly string[], b: readonly string[]): string | undefined {
  return a.find((value) => b.includes(value));
}

/** Whether two cards have whole birthdays, and other ones: another day, or another year by more than a slip. */
export function areBornApart({ birth: a }: DuplicateFacts, { birth: b }: DuplicateFacts): boolean {
  if (a?.year === undefined || b?.year === undefined) return false;
  const level = compareBirths(a, b);
  if (level === 'otherYear') return !isOneSlipApart(String(a.year), String(b.year));
  return level === 'differ' || level === 'years';
}
