import { View } from 'react-native';

import { useRhythmBalances, useTalkBars } from '@/book/talks';
import { shownAs } from '@/core/card';
import { Chart, type ChartData, Txt } from '@/ui';

/** The talks of the last twelve months by who began them. */
export function YearChart() {
  const bars = useTalkBars();
  if (!bars) return null;
  return (
    <Titled title="Talks of the last twelve months">
      <Chart name="Talks by month and by who began them" bars={bars} series={SERIES} />
    </Titled>
  );
}

const SERIES: ChartData['series'] = [
  { label: 'I began', tone: 'moss' },
  { label: 'They began', tone: 'ochre' },
  { label: 'Both', tone: 'faded' },
];

/** How the rhythms of lists are kept. */
export function RhythmChart() {
  const balances = useRhythmBalances();
  if (balances.length === 0) return null;
  return (
    <Titled title="Rhythm kept, by list">
      <Chart
        name="Rhythm kept, by list"
        bars={balances.map(({ list, kept, late, never }) => ({
          short: shownAs(list),
          label: shownAs(list),
          parts: [kept, late, never],
        }))}
        series={[
          { label: 'In touch', tone: 'moss' },
          { label: 'Late', tone: 'brick' },
          { label: 'No talk yet', tone: 'faded' },
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
