import { useEffect } from 'react';
import { View } from 'react-native';

import { useMergedInto } from '@/book/tidy';
import type { Uid } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/parts';
import { Act, EmptyPlace } from '@/ui';

/** In place of a card that the book doesn't have; one that was merged leads to what it has become. */
export function NoSuchCard({ uid }: { readonly uid: Uid }) {
  const now = useMergedInto(uid);
  useEffect(() => {
    if (now !== undefined) go(cardPath(now), 'replace');
  }, [now]);
  if (now !== undefined) return null;
  return (
    <EmptyPlace title={texts.cardNotFound} text={texts.itMayHaveBeen}>
      <View className="flex-row">
        <Act label={shared.goToBook} onPress={() => go('/book', 'replace')} />
      </View>
    </EmptyPlace>
  );
}
