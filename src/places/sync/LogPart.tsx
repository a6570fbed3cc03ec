import { View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import type { LogLine } from '@/core/sync';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Act, ListFilter, NameLink, Txt } from '@/ui';

import { logPath } from './paths';
import { useNow } from './useDevices';
import { formatMoment } from './words';

interface LogPartProps {
  /** undefined until the hub has said. */
  readonly lines: readonly LogLine[] | undefined;
  /** Whether all of them are of one card. */
  readonly isOfCard: boolean;
}

/** What happened to which card, when and through whom; the latest first. */
export function LogPart({ lines, isOfCard }: LogPartProps) {
  const rows = useAppSelector(selectRowsByUid);
  const now = useNow();
  if (!lines) return <Txt tone="faded">{shared.contactingHub}</Txt>;
  if (lines.length === 0)
    return (
      <Txt font="serifItalic" tone="faded">
        {texts.nothingYet}
      </Txt>
    );
  return (
    <View testID="log">
      {lines.map(({ seq, at, uid, says, by }) => (
        <View key={seq} className="flex-row items-center gap-3 border-b border-rule py-1">
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
              {by ?? texts.hub}
            </Txt>
          </View>
          {isOfCard ? null : (
            <Act
              label={texts.logOfThisCard(says)}
              icon={ListFilter}
              iconOnly
              tone="faded"
              onPress={() => go(logPath({ uid }))}
            />
          )}
        </View>
      ))}
    </View>
  );
}
