import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { useHub } from '@/book/sync';
import { unmerge } from '@/book/tidy';
import { type Card, unshownValues } from '@/core/card';
import { formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/card/card';
import { Act, Split, Txt } from '@/ui';

/** What the card holds beside what is shown, and since when it is there. */
export function CardFoot({ card }: { readonly card: Card }) {
  const dispatch = useAppDispatch();
  const kept = unshownValues(card);
  const dates = [
    card.created === undefined ? '' : texts.written(formatDay(card.created)),
    card.updated === undefined ? '' : texts.changed(formatDay(card.updated)),
  ].filter(Boolean);
  const merges = [...new Set(Object.values(card['cordialis.example:was'] ?? {}).filter(Boolean))];
  const sources = Object.keys(card['cordialis.example:sources'] ?? {});
  const isPaired = useHub().pairing !== undefined;
  const merged = Object.keys(card['cordialis.example:was'] ?? {}).length;
  return (
    <View className="gap-1 py-5">
      {merges.length === 0 ? null : (
        <View className="flex-row flex-wrap items-center gap-x-4" testID="merged-from">
          <Txt size="small" tone="faded">
            {texts.otherCardsWereMerged(merged)}
          </Txt>
          <Act
            label={texts.undoLastMerge}
            icon={Split}
            tone="faded"
            onPress={() => void dispatch(unmerge(merges.sort().at(-1) ?? ''))}
            testID="unmerge"
          />
        </View>
      )}
      {sources.length === 0 ? null : (
        <Txt size="small" tone="faded" testID="sources">
          {texts.storedOn(sources.join(texts.and))}
        </Txt>
      )}
      {card['cordialis.example:unwritten'] === true ? (
        <Txt size="small" tone="faded">
          {texts.leftOutOfMessages}
        </Txt>
      ) : null}
      {kept.length === 0 ? null : (
        <Txt size="small" tone="faded">
          {texts.alsoKept(kept.join(', '))}
        </Txt>
      )}
      {dates.length === 0 ? null : (
        <Txt size="small" tone="faded" isFigures>
          {dates.join(', ')}
        </Txt>
      )}
      {isPaired ? (
        <View className="flex-row">
          <Act
            label={texts.changesByBrowsersAndDevices}
            tone="faded"
            onPress={() => go(`/devices/log?uid=${encodeURIComponent(card.uid)}`)}
            testID="card-log"
          />
        </View>
      ) : null}
    </View>
  );
}
