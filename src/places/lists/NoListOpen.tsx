import { useEffect } from 'react';
import { View } from 'react-native';

import { selectLists, useAppSelector } from '@/book/state';
import { listPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/lists/lists';
import { Txt, usePageTitle, useWide } from '@/ui';

/** Beside the lists on a wide screen the first of them is open; as long as there is none, what to do. */
export function NoListOpen() {
  const { isWide } = useWide();
  usePageTitle(texts.lists);
  const uid = useAppSelector(selectLists)[0]?.uid;
  useEffect(() => {
    if (isWide && uid !== undefined) go(listPath(uid), 'replace');
  }, [isWide, uid]);
  if (!isWide || uid !== undefined) return null;
  return (
    <View className="max-w-[460px] px-10 pt-6">
      <Txt font="serifItalic" size="title" tone="faded">
        {texts.chooseListOnLeft}
      </Txt>
    </View>
  );
}
