import { View } from 'react-native';

import { Coming } from '@/ui';

/**
 * Stands in for a page while its pieces are loaded: lines like those that will come. Shown only while the element before
 * it, marked as its `peer`, has nothing in it.
 */
export function Sketch() {
  return (
    <View className="absolute inset-0 hidden px-5 pt-6 peer-empty:flex wide:px-6" aria-hidden>
      <View className="animate-[appear_1ms_100ms_both]">
        <View className="mb-6 h-[24px] w-[70%] max-w-[420px] rounded-[4px] bg-leaf" />
      </View>
      <Coming />
    </View>
  );
}
