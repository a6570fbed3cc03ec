import { View } from 'react-native';

import { useNewsOf } from '@/book/card';
import { useZoneOf } from '@/book/find';
import {
  selectRowsByUid,
  selectSettings,
  selectSummaries,
  useAppSelector,
  useCardGetter,
} from '@/book/state';
import { useTalksWith } from '@/book/talks';
import { briefLines, type Card } from '@/core/card';
import { localDay, timeIn } from '@/platform';
import { Txt } from '@/ui';

interface BriefLinesProps {
  readonly card: Card;
  readonly isWide: boolean;
}

/** What to know before talking: what was said last, days that are near, family, interests, the time there, what is new. */
export function BriefLines({ card, isWide }: BriefLinesProps) {
  const { leapDay, country } = useAppSelector(selectSettings);
  const rows = useAppSelector(selectRowsByUid);
  const cardOf = useCardGetter();
  const { talks } = useTalksWith([card.uid]);
  const last = useAppSelector((state) => selectSummaries(state).get(card.uid))?.last;
  const news = useNewsOf(card.uid, last);
  const zone = useZoneOf(card, country);
  // The line is there while the zone is looked up: one that comes later would move what is below.
  const now = zone === undefined || zone === ownZone() ? undefined : zone === '' ? '' : timeIn(zone);
  const lines = briefLines(card, {
    ...{ today: localDay(), leapDay, cardOf, news },
    nameOf: (uid) => rows.get(uid)?.shown,
    lastSaid: talks[0]?.said || talks[0]?.about,
    there: zone === undefined || now === undefined ? undefined : { zone, now },
  });
  if (lines.length === 0) return null;
  return (
    <View className={`gap-1 ${isWide ? 'min-w-[300px] flex-1 justify-center' : ''}`} testID="brief-lines">
      {lines.map(({ label, text }) => (
        <View key={label} className="flex-row gap-3">
          <View className="w-[76px] shrink-0">
            <Txt size="small" tone="faded">
              {label}
            </Txt>
          </View>
          <View className="min-w-0 flex-1">
            <Txt size="small">{text}</Txt>
          </View>
        </View>
      ))}
    </View>
  );
}

function ownZone(): string {
  return Intl.DateTimeFormat().resolvedOptions().timeZone;
}
