import { addMonths, monthName } from '@/core/base';
import type { Uid } from '@/core/card';
import { talksByMonth, talksWith } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';

import { useTalksInMonths } from './talkHooks';

/** Months that a chart of talks shows. */
const MONTHS = 12;

/** A month of a chart: talks that the user began, that came, and that were both's. */
export interface TalkBar {
  /** The first letter of the month's name. */
  readonly short: string;
  readonly label: string;
  readonly parts: readonly [out: number, came: number, both: number];
}

/** Talks of the last twelve months, with everybody or with one; undefined until they have been read. */
export function useTalkBars(uid?: Uid): TalkBar[] | undefined {
  const today = localDay();
  const months = Array.from({ length: MONTHS }, (_, i) =>
    addMonths(`${today.slice(0, 7)}-01`, i - MONTHS + 1).slice(0, 7),
  );
  const talks = useTalksInMonths(months);
  if (!talks) return undefined;
  const counted = talksByMonth(uid === undefined ? talks : talksWith(talks, [uid]), today, MONTHS);
  return counted.map(({ month, out, in: came, both }) => ({
    short: new Date(`${month}-15T12:00:00`).toLocaleDateString(LOCALE, { month: 'narrow' }),
    label: monthName(month, LOCALE),
    parts: [out, came, both],
  }));
}
