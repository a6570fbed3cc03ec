import { View } from 'react-native';

import { texts } from '@/texts/lists/lists';
import { Txt, usePageTitle, useWide } from '@/ui';

/** Beside the lists on a wide screen, as long as none is open. */
export function NoListOpen() {
  const { isWide } = useWide();
  usePageTitle(texts.lists);
  if (!isWide) return null;
  return (
    <View className="max-w-[460px] px-10 pt-6">
      <Txt font="serifItalic" size="title" tone="faded">
        {texts.chooseListOnLeft}
      </Txt>
    </View>
  );
}
