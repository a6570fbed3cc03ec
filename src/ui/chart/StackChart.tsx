import { View } from 'react-native';
import { BarChart } from 'react-native-gifted-charts';

import { texts } from '@/texts/base/ui';

import { Txt } from '../parts/Txt';
import { useColours, useTypeScale } from '../theme/ThemeProvider';
import type { ChartData } from './chartData';
import { ChartTable } from './ChartTable';

/** Pixels of the drawing's height, and of the figures at its left. */
const [HEIGHT, FIGURES_WIDTH] = [120, 36];
/** Lines across the drawing. */
const SECTIONS = 3;

interface StackChartProps extends ChartData {
  /** Pixels that the whole may take. */
  readonly width: number;
}

/** Bars of several parts on one another, with a legend that says the sums, and a table for whoever doesn't see it. */
export function StackChart({ width, ...data }: StackChartProps) {
  const { name, bars, series } = data;
  const colours = useColours();
  const scale = useTypeScale();
  const room = (width - FIGURES_WIDTH) / Math.max(1, bars.length);
  const barWidth = Math.max(4, Math.min(28, Math.floor(room * 0.62)));
  const most = Math.max(1, ...bars.map(({ parts }) => parts.reduce((sum, part) => sum + part, 0)));
  const step = Math.max(1, Math.ceil(most / SECTIONS));
  const text = { color: colours.faded, fontFamily: 'Atkinson', fontSize: 13 * scale };
  return (
    <View className="gap-2" testID="chart">
      <View role="img" aria-label={texts.tableAfterItSays(name)} style={{ width }}>
        <View aria-hidden>
          <BarChart
            stackData={bars.map(({ short, parts }) => ({
              label: short,
              stacks: parts.map((value, i) => ({ value, color: colours[series[i]?.tone ?? 'ink'] })),
            }))}
            width={width - FIGURES_WIDTH}
            height={HEIGHT}
            barWidth={barWidth}
            spacing={Math.max(2, room - barWidth)}
            // The package puts it before the first bar twice.
            initialSpacing={(room - barWidth) / 4}
            endSpacing={0}
            maxValue={step * SECTIONS}
            stepValue={step}
            noOfSections={SECTIONS}
            yAxisLabelWidth={FIGURES_WIDTH}
            yAxisTextStyle={text}
            xAxisLabelTextStyle={{ ...text, textAlign: 'center' }}
            yAxisThickness={0}
            xAxisThickness={1}
            xAxisColor={colours.rule}
            rulesColor={colours.rule}
            rulesType="solid"
            disableScroll
            disablePress
          />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-x-5 gap-y-1" aria-hidden>
        {series.map(({ label, tone }, i) => (
          <View key={label} className="flex-row items-center gap-2">
            <View style={{ width: 12, height: 12, backgroundColor: colours[tone] }} />
            <Txt size="small" tone="faded" isFigures>
              {`${label} ${bars.reduce((sum, { parts }) => sum + (parts[i] ?? 0), 0)}`}
            </Txt>
          </View>
        ))}
      </View>
      <ChartTable {...data} />
    </View>
  );
}
