import { type Role, View } from 'react-native';

import { Txt } from '../parts/Txt';
import type { ChartData } from './chartData';

/** What a chart says as a table that only screen readers meet. */
export function ChartTable({ name, bars, series }: ChartData) {
  return (
    <View role="table" aria-label={name} className="absolute h-px w-px overflow-hidden" testID="chart-table">
      <View role="row">
        {[name, ...series.map(({ label }) => label)].map((text) => (
          <Cell key={text} role="columnheader" text={text} />
        ))}
      </View>
      {bars.map(({ label, parts }) => (
        <View key={label} role="row">
          <Cell role="rowheader" text={label} />
          {parts.map((value, i) => (
            <Cell key={series[i]?.label} role="cell" text={String(value)} />
          ))}
        </View>
      ))}
    </View>
  );
}

function Cell({ role, text }: { readonly role: Role; readonly text: string }) {
  return (
    <View role={role}>
      <Txt>{text}</Txt>
    </View>
  );
}
