import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { Txt } from './Txt';

/** Widths of the rows in percent. */
const ROWS = [64, 48, 72, 56, 60, 44, 68];

/** Rows like those that will come, after a tenth of a second, and a sentence after two. */
export function Coming() {
  return (
    <View aria-hidden testID="coming">
      <View className="animate-[appear_1ms_100ms_both]">
        {ROWS.map((width, i) => (
          <View key={i} className="h-[52px] flex-row items-center gap-4 border-b border-rule">
            <View className="h-[36px] w-[29px] rounded-stamp bg-leaf" />
            <View className="gap-2" style={{ width: `${width}%`, maxWidth: 420 }}>
              <View className="h-[12px] w-[60%] rounded-[3px] bg-leaf" />
              <View className="h-[8px] w-full rounded-[3px] bg-leaf" />
            </View>
          </View>
        ))}
      </View>
      <View className="animate-[appear_1ms_2s_both] pt-4">
        <Txt tone="faded">{texts.pageIsLoading}</Txt>
      </View>
    </View>
  );
}
