import { lazy, Suspense, useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { Txt } from '../parts/Txt';
import type { ChartData } from './chartData';

const StackChart = lazy(() => import('./StackChart').then((module) => ({ default: module.StackChart })));

/** A chart of stacked bars as wide as there is room; what draws it is loaded with the first one. */
export function Chart(data: ChartData) {
  const [width, setWidth] = useState(0);
  return (
    <View className="min-h-[180px]" onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
      {width === 0 ? null : (
        <Suspense fallback={<Txt tone="faded">{texts.drawing}</Txt>}>
          <StackChart {...data} width={width} />
        </Suspense>
      )}
    </View>
  );
}
