import { View } from 'react-native';

import { selectRowsByUid, useAppDispatch, useAppSelector } from '@/book/state';
import { keepApart, useDuplicatesOf } from '@/book/tidy';
import type { Uid } from '@/core/card';
import { comparePath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/card';
import { Act, Split, Txt, useWide } from '@/ui';

/** Said on a card that looks like another one of the book, until they are merged or kept apart. */
export function DuplicateHint({ uid }: { readonly uid: Uid }) {
  const dispatch = useAppDispatch();
  const { isWide } = useWide();
  const rows = useAppSelector(selectRowsByUid);
  const [duplicate] = useDuplicatesOf(uid);
  if (!duplicate) return null;
  const names = duplicate.uids.flatMap((one) =>
    one === uid ? [] : rows.get(one)?.shown || shared.noNameYet,
  );
  const why = duplicate.evidence.find(({ bits }) => bits > 0)?.words;
  return (
    <View className={`mt-3 border-l-2 border-ochre pl-3 ${isWide ? 'mx-6' : 'mx-5'}`} testID="duplicate-hint">
      <Txt>
        {why === undefined ? texts.looksLike(names.join(', ')) : texts.looksLikeBy(names.join(', '), why)}
      </Txt>
      <View className="flex-row flex-wrap gap-x-5">
        <Act
          label={texts.compare}
          name={texts.compareWith(names.join(', '))}
          onPress={() => go(comparePath(duplicate.uids))}
        />
        <Act
          label={shared.notSame}
          name={texts.keepApartFrom(names.join(', '))}
          icon={Split}
          tone="faded"
          onPress={() => void dispatch(keepApart(duplicate.uids))}
        />
      </View>
    </View>
  );
}
