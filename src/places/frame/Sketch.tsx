import { View } from 'react-native';

import { texts } from '@/texts/frame/frame';
import { Txt } from '@/ui';

const ROWS = [64, 48, 72, 56, 60, 44, 68];

/**
 * Stands in for a page while its pieces are loaded: lines like those that will come, after a tenth of a second, and a
 * sentence after two. Shown only while the element before it, marked as its `peer`, has nothing in it.
 */
export function Sketch() {
  return (
    <View className="absolute inset-0 hidden px-5 pt-6 peer-empty:flex wide:px-6" aria-hidden>
      <View className="animate-[appear_1ms_100ms_both]">
        <View className="mb-6 h-[24px] w-[70%] max-w-[420px] rounded-[4px] bg-leaf" />
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
