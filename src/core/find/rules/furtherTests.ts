import { foldedWords } from '@/core/base';
import { texts } from '@/texts/find/rules';

import { DAY_KINDS, type DayKind } from './fields';
import type { Test } from './rule';

/** Conditions about days, ages and what is due. */
export type FurtherTest = Extract<Test, { kind: 'month' | 'born' | 'age' | 'turning' | 'due' }>;

/** Months as they are typed, in English. */
export const MONTH_WORDS = [
  ...['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October'],
  ...['November', 'December'],
];

/** Whether a condition is one of these. */
export function isFurther(test: Test): test is FurtherTest {
  return ['month', 'born', 'age', 'turning', 'due'].includes(test.kind);
}

/** A condition in words, the right way round. @param dayWord - what the day that it is about is called */
export function formatFurther(test: FurtherTest, dayWord: (day: DayKind) => string): string {
  switch (test.kind) {
    case 'month':
      return texts.inMonth(dayWord(test.day), MONTH_WORDS[test.month - 1] ?? '');
    case 'born':
      return texts.born(spanWords(test.from, test.to));
    case 'age':
      return texts.aged(spanWords(test.from, test.to));
    case 'turning':
      return texts.turning(test.age);
    case 'due':
      return test.days < 0 ? texts.late : texts.dueWithin(test.days);
  }
}

/** "from 30 to 40", "from 30", "to 40". */
function spanWords(from: number | undefined, to: number | undefined): string {
  return [from === undefined ? '' : texts.from(from), to === undefined ? '' : texts.to(to)]
    .filter(Boolean)
    .join(' ');
}

/** A condition as it is typed, which readFurther reads as the same. */
export function writeFurther(test: FurtherTest, dayWord: (day: DayKind) => string): string {
  switch (test.kind) {
    case 'month':
      return `${dayWord(test.day)} in ${(MONTH_WORDS[test.month - 1] ?? '').toLowerCase()}`;
    case 'born':
      return `born ${writtenSpan(test.from, test.to)}`;
    case 'age':
      return `aged ${writtenSpan(test.from, test.to)}`;
    case 'turning':
      return `turning ${test.age}`;
    case 'due':
      return test.days < 0 ? 'late' : `due within ${test.days} days`;
  }
}

function writtenSpan(from: number | undefined, to: number | undefined): string {
  if (from === undefined && to === undefined) return 'from 0';
  return [from === undefined ? '' : `from ${from}`, to === undefined ? '' : `to ${to}`]
    .filter(Boolean)
    .join(' ');
}

/** Reads such a condition at the beginning of some words, and how many of them it takes. */
export function readFurther(tokens: readonly string[]): { test: FurtherTest; taken: number } | undefined {
  const text = tokens.slice(0, 6).join(' ').toLowerCase();
  const month = /^(\S+) in (\p{L}+)(?= |$)/u.exec(text);
  const at = MONTH_WORDS.findIndex((word) => word.toLowerCase() === month?.[2]);
  const day = DAY_KINDS.find((kind) => DAY_FIRST_WORDS[kind] === foldedWords(month?.[1] ?? '')[0]);
  if (month && at >= 0 && day) return { test: { kind: 'month', day, month: at + 1 }, taken: 3 };
  const span = /^(born|aged)(?: from (\d{1,4}))?(?: to (\d{1,4}))?(?= |$)/.exec(text);
  if (span && (span[2] ?? span[3]) !== undefined) {
    const limits = {
      ...(span[2] === undefined ? {} : { from: Number(span[2]) }),
      ...(span[3] === undefined ? {} : { to: Number(span[3]) }),
    };
    const kind = span[1] === 'born' ? ('born' as const) : ('age' as const);
    const most = kind === 'born' ? 9999 : 200;
    if ((limits.from ?? 0) <= most && (limits.to ?? 0) <= most)
      return { test: { kind, ...limits }, taken: span[0].split(' ').length };
  }
  const turning = /^turning (\d{1,3})(?= |$)/.exec(text);
  if (turning && Number(turning[1]) <= 200)
    return { test: { kind: 'turning', age: Number(turning[1]) }, taken: 2 };
  const due = /^due within (\d{1,5}) days?(?= |$)/.exec(text);
  if (due) return { test: { kind: 'due', days: Number(due[1]) }, taken: 4 };
  return /^late(?= |$)/.test(text) ? { test: { kind: 'due', days: -1 }, taken: 1 } : undefined;
}

const DAY_FIRST_WORDS: Readonly<Record<DayKind, string>> = {
  birth: 'birthday',
  wedding: 'wedding',
  death: 'day',
};
