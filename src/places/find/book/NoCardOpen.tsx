import { View } from 'react-native';

import { Txt, usePageTitle, useWide } from '@/ui';

/** Beside the Book on a wide screen, as long as no card is open. */
export function NoCardOpen() {
  const { isWide } = useWide();
  usePageTitle('Book');
  if (!isWide) return null;
  return (
    <View className="max-w-[460px] px-10 pt-6">
      <Txt font="serifItalic" size="title" tone="faded">
        Choose somebody on the left, or press / and type a few letters of a name, a town or a number.
      </Txt>
    </View>
  );
}
