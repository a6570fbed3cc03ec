import { type ComponentType, Suspense } from 'react';
import { View } from 'react-native';

import { selectOrder, selectRowsByUid, selectSettings, useAppSelector } from '@/book/state';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/find/book';
import { Txt, usePageTitle, useWide } from '@/ui';

/** Beside the Book on a wide screen, as long as no card is open: somebody all the same, whom one has had to do with last. */
export function NoCardOpen({ CardPane }: { readonly CardPane: ComponentType<{ readonly uid: Uid }> }) {
  const { isWide } = useWide();
  usePageTitle(texts.book);
  const rows = useAppSelector(selectRowsByUid);
  const [first] = useAppSelector(selectOrder);
  const { recentActs } = useAppSelector(selectSettings);
  if (!isWide) return null;
  const shown = recentActs.find(({ uid }) => rows.has(uid))?.uid ?? first;
  if (shown !== undefined)
    return (
      <Suspense fallback={null}>
        <CardPane uid={shown} />
      </Suspense>
    );
  return (
    <View className="max-w-[460px] px-10 pt-6">
      <Txt font="serifItalic" size="title" tone="faded">
        {texts.chooseSomebodyOnLeft}
      </Txt>
    </View>
  );
}
