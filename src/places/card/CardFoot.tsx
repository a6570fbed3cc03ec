import { View } from 'react-native';

import { useAppDispatch } from '@/book/state';
import { useHub } from '@/book/sync';
import { unmerge } from '@/book/tidy';
import { type Card, unshownValues } from '@/core/card';
import { formatCount, formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { Act, Split, Txt } from '@/ui';

/** What the card holds beside what is shown, and since when it is there. */
export function CardFoot({ card }: { readonly card: Card }) {
  const dispatch = useAppDispatch();
  const kept = unshownValues(card);
  const dates = [
    card.created === undefined ? '' : `Written ${formatDay(card.created)}`,
    card.updated === undefined ? '' : `changed ${formatDay(card.updated)}`,
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
            {`${formatCount(merged, 'other card was', 'other cards were')} merged into this one.`}
          </Txt>
          <Act
            label="Undo the last merge"
            icon={Split}
            tone="faded"
            onPress={() => void dispatch(unmerge(merges.sort().at(-1) ?? ''))}
            testID="unmerge"
          />
        </View>
      )}
      {sources.length === 0 ? null : (
        <Txt size="small" tone="faded" testID="sources">{`Stored on ${sources.join(' and ')}.`}</Txt>
      )}
      {card['cordialis.example:unwritten'] === true ? (
        <Txt size="small" tone="faded">
          Left out of messages to many people.
        </Txt>
      ) : null}
      {kept.length === 0 ? null : <Txt size="small" tone="faded">{`Also kept: ${kept.join(', ')}.`}</Txt>}
      {dates.length === 0 ? null : (
        <Txt size="small" tone="faded" isFigures>
          {dates.join(', ')}
        </Txt>
      )}
      {isPaired ? (
        <View className="flex-row">
          <Act
            label="Changes by browsers and devices"
            tone="faded"
            onPress={() => go(`/devices/log?uid=${encodeURIComponent(card.uid)}`)}
            testID="card-log"
          />
        </View>
      ) : null}
    </View>
  );
}
