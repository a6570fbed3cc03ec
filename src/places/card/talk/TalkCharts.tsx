import type { ReactNode } from 'react';
import { View } from 'react-native';

import { selectSummaries, useAppSelector } from '@/book/state';
import { useTalkBars } from '@/book/talks';
import type { Uid } from '@/core/card';
import { TALK_KINDS, talksByYear } from '@/core/talks';
import { texts } from '@/texts/card/talk';
import { Chart, Txt } from '@/ui';

import { DIRECTION_WORDS, KIND_TONES, KIND_WORDS } from '../parts/talkWords';

/** Talks with somebody: by year and kind where they go over more than one, and of the last twelve months by who began them. */
export function TalkCharts({ uid }: { readonly uid: Uid }) {
  return (
    <View className="gap-4 py-2">
      <YearsChart uid={uid} />
      <MonthsChart uid={uid} />
    </View>
  );
}

function YearsChart({ uid }: { readonly uid: Uid }) {
  const summary = useAppSelector((state) => selectSummaries(state).get(uid));
  const years = summary ? talksByYear(summary) : [];
  if (years.length < 2) return null;
  return (
    <Named name={texts.talksByKindAndYear}>
      <Chart
        name={texts.talksByKindAndYear}
        bars={years.map(({ year, counts }) => ({
          short: years.length > 6 ? `’${year.slice(2)}` : year,
          label: year,
          parts: counts,
        }))}
        series={TALK_KINDS.map((kind, i) => ({ label: KIND_WORDS[kind], tone: KIND_TONES[i] ?? 'faded' }))}
      />
    </Named>
  );
}

function MonthsChart({ uid }: { readonly uid: Uid }) {
  const bars = useTalkBars(uid);
  if (!bars) return null;
  return (
    <Named name={texts.talksByMonthAnd}>
      <Chart
        name={texts.talksByMonthAnd}
        bars={bars}
        series={[
          { label: DIRECTION_WORDS.out, tone: 'moss' },
          { label: DIRECTION_WORDS.in, tone: 'ochre' },
          { label: DIRECTION_WORDS.both, tone: 'faded' },
        ]}
      />
    </Named>
  );
}

function Named({ name, children }: { readonly name: string; readonly children: ReactNode }) {
  return (
    <View className="gap-2">
      <Txt font="sansBold" size="small">
        {name}
      </Txt>
      {children}
    </View>
  );
}
