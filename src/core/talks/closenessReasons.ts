import { daysBetween } from '@/core/base';
import { texts } from '@/texts/talks/talks';

import { formatAgo } from './standing';
import { type TalkSummary, usualGap } from './summary';

/** How much larger one side has to be to be mentioned. */
const ONE_SIDED = 3;

/** Explains closeness: how many talks, how recent, how often, and begun by whom. */
export function closenessReasons(summary: TalkSummary, today: string): string[] {
  const { count, last, out, in: came } = summary;
  const gap = usualGap(summary);
  return [
    texts.talksTheLast(count, formatAgo(daysBetween(last, today))),
    gap === undefined ? '' : texts.usuallyEvery(Math.max(1, Math.round(gap))),
    sidesOf(out, came),
  ].filter(Boolean);
}

function sidesOf(out: number, came: number): string {
  if (came === 0) return texts.begunByYouOnly;
  if (out === 0) return texts.begunByThemOnly;
  if (out > ONE_SIDED * came) return texts.mostlyBegunByYou;
  if (came > ONE_SIDED * out) return texts.mostlyBegunByThem;
  return texts.bothWays;
}
