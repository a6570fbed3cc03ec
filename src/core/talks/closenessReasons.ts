import { daysBetween } from '@/core/base';

import { formatAgo } from './standing';
import { type TalkSummary, usualGap } from './summary';

/** How much larger one side has to be to be mentioned. */
const ONE_SIDED = 3;

/** Explains closeness: how many talks, how recent, how often, and begun by whom. */
export function closenessReasons(summary: TalkSummary, today: string): string[] {
  const { count, last, out, in: came } = summary;
  const gap = usualGap(summary);
  const talks = count === 1 ? '1 talk' : `${count} talks`;
  return [
    `${talks}, the last ${formatAgo(daysBetween(last, today))}`,
    gap === undefined ? '' : `usually every ${Math.round(gap) <= 1 ? 'day' : `${Math.round(gap)} days`}`,
    sidesOf(out, came),
  ].filter(Boolean);
}

function sidesOf(out: number, came: number): string {
  if (came === 0) return 'begun by you only';
  if (out === 0) return 'begun by them only';
  if (out > ONE_SIDED * came) return 'mostly begun by you';
  if (came > ONE_SIDED * out) return 'mostly begun by them';
  return 'both ways';
}
