import { daysBetween } from '@/core/base';
import { texts } from '@/texts/talks/talks';

import type { Due } from './due';

/** How things stand with somebody. */
export interface Standing {
  /** How far today is from the last talk to the due day: 0 to 1, more where it is late. */
  readonly share: number;
  readonly label: string;
  readonly isLate: boolean;
}

/** @param last - the day of the last talk; undefined where there was none */
export function standingOf(due: Due, last: string | undefined, today: string): Standing {
  const left = daysBetween(today, due.day);
  const whole = Math.max(1, daysBetween(last ?? today, due.day));
  const gone = last === undefined ? (left < 0 ? whole - left : 0) : daysBetween(last, today);
  return { share: Math.max(0, gone / whole), label: formatDue(left), isLate: left < 0 };
}

/** "due today", "due in 6 days", "3 days late". */
export function formatDue(daysLeft: number): string {
  if (daysLeft === 0) return texts.dueToday;
  return daysLeft > 0 ? texts.dueIn(daysLeft) : texts.daysLate(-daysLeft);
}

/** "today", "yesterday", "6 days ago", "5 weeks ago", "8 months ago". */
export function formatAgo(days: number): string {
  if (days === 0) return texts.todayWord;
  if (days === 1) return texts.yesterday;
  if (days < 28) return texts.daysAgo(days);
  if (days < 92) return texts.weeksAgo(Math.round(days / 7));
  if (days < 700) return texts.monthsAgo(Math.round(days / 30.44));
  return texts.yearsAgo(Math.round(days / 365.25));
}
