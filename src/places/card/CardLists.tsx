import { Pressable, View } from 'react-native';

import { useListsOf } from '@/book/lists';
import { selectLists, useAppSelector } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import { listPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/card';
import { linkProps, Txt } from '@/ui';

/** The lists that a card is on, picked or by their rules, each a way to it. */
export function CardLists({ card }: { readonly card: Card }) {
  const uids = useListsOf(card.uid);
  const lists = useAppSelector(selectLists).filter(({ uid }) => uids.includes(uid));
  if (lists.length === 0) return null;
  return (
    <View className="flex-row" testID="card-lists-on">
      <View className="w-[76px] pt-[13px] wide:w-[112px]">
        <Txt size="small" tone="faded" heading={2}>
          {texts.lists}
        </Txt>
      </View>
      <View className="min-w-0 flex-1 flex-row flex-wrap gap-x-5 border-b border-rule">
        {lists.map((list) => {
          const path = listPath(list.uid);
          return (
            <Pressable
              key={list.uid}
              role="link"
              aria-label={shownAs(list)}
              {...linkProps(path, () => go(path))}
              className="min-h-[44px] justify-center active:opacity-60"
            >
              <Txt size="strong" tone="berry">
                {shownAs(list)}
              </Txt>
            </Pressable>
          );
        })}
      </View>
    </View>
  );
}
