import { View } from 'react-native';

import { texts } from '@/texts/find/book';
import { Txt, usePageTitle, useWide } from '@/ui';

/** Beside the Book on a wide screen, as long as no card is open. */
export function NoCardOpen() {
  const { isWide } = useWide();
  usePageTitle(texts.book);
  if (!isWide) return null;
  return (
    <View className="max-w-[460px] px-10 pt-6">
      <Txt font="serifItalic" size="title" tone="faded">
        {texts.chooseSomebodyOnLeft}
      </Txt>
    </View>
  );
}
