import { ScrollView, View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book';
import type { LogLine } from '@/core/exchange';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { NameLink, Txt } from '@/ui';

import { useNow } from './useDevices';
import { formatMoment } from './words';

/** What happened to which card, when and through whom; the latest first. */
export function LogPart({ lines }: { readonly lines: readonly LogLine[] | undefined }) {
  const rows = useAppSelector(selectRowsByUid);
  const now = useNow();
  if (!lines) return <Txt tone="faded">Asking the hub …</Txt>;
  if (lines.length === 0)
    return (
      <Txt font="serifItalic" tone="faded">
        Nothing yet.
      </Txt>
    );
  return (
    <ScrollView testID="log">
      {lines.map(({ seq, at, uid, says, by }) => (
        <View key={seq} className="flex-row gap-3 border-b border-rule py-2">
          <View className="w-[92px] shrink-0">
            <Txt size="small" tone="faded" isFigures>
              {formatMoment(at, now)}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            {rows.get(uid) ? (
              <NameLink label={says} href={cardPath(uid)} onPress={() => go(cardPath(uid))} />
            ) : (
              <Txt>{says}</Txt>
            )}
            <Txt size="small" tone="faded">
              {by ?? 'The hub'}
            </Txt>
          </View>
        </View>
      ))}
    </ScrollView>
  );
}
