import { View } from 'react-native';

import { useRhythmBalances, useTalkBars } from '@/book/talks';
import { shownAs } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/talks/talks';
import { Chart, type ChartData, Txt } from '@/ui';

/** The talks of the last twelve months by who began them. */
export function YearChart() {
  const bars = useTalkBars();
  if (!bars) return null;
  return (
    <Titled title={texts.talksOfLastTwelve}>
      <Chart name={texts.talksByMonthAnd} bars={bars} series={SERIES} />
    </Titled>
  );
}

const SERIES: ChartData['series'] = [
  { label: texts.iBegan, tone: 'moss' },
  { label: texts.theyBegan, tone: 'ochre' },
  { label: texts.both, tone: 'faded' },
];

/** How the rhythms of lists are kept. */
export function RhythmChart() {
  const balances = useRhythmBalances();
  if (balances.length === 0) return null;
  return (
    <Titled title={texts.rhythmKeptByList}>
      <Chart
        name={texts.rhythmKeptByList}
        bars={balances.map(({ list, kept, late, never }) => ({
          short: shownAs(list),
          label: shownAs(list),
          parts: [kept, late, never],
        }))}
        series={[
          { label: texts.inTouch, tone: 'moss' },
          { label: texts.late, tone: 'brick' },
          { label: shared.noTalkYet, tone: 'faded' },
        ]}
      />
    </Titled>
  );
}

function Titled({ title, children }: { readonly title: string; readonly children: React.ReactNode }) {
  return (
    <View className="gap-3">
      <Txt font="serif" size="title" heading={2}>
        {title}
      </Txt>
      {children}
    </View>
  );
}
