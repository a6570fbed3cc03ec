import { useTalkBars } from '@/book/talks';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/card/talk';
import { Chart } from '@/ui';

import { DIRECTION_WORDS } from '../parts/talkWords';

/** Talks with somebody in the last twelve months, by month and by who began them. */
export function TalkChart({ uid }: { readonly uid: Uid }) {
  const bars = useTalkBars(uid);
  if (!bars) return null;
  return (
    <Chart
      name={texts.talksByMonthAnd}
      bars={bars}
      series={[
        { label: DIRECTION_WORDS.out, tone: 'moss' },
        { label: DIRECTION_WORDS.in, tone: 'ochre' },
        { label: DIRECTION_WORDS.both, tone: 'faded' },
      ]}
    />
  );
}
