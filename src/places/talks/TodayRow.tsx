import type { ReactNode } from 'react';
import { View } from 'react-native';

import { selectRow, selectSummaries, useAppSelector, usePhoto } from '@/book/state';
import { daysBetween } from '@/core/base';
import type { Uid } from '@/core/card';
import { type Due, formatAgo, standingOf } from '@/core/talks';
import { cardPath, localDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { ListRow, Stamp, Thread } from '@/ui';

interface TodayRowProps {
  readonly uid: Uid;
  /** Why they are listed; derived from `due` where that is given. */
  readonly why?: string;
  readonly due?: Due;
  readonly acts: ReactNode;
}

/** One person of the day, and what can be done from here. */
export function TodayRow({ uid, why = '', due, acts }: TodayRowProps) {
  const row = useAppSelector((state) => selectRow(state, uid));
  const last = useAppSelector((state) => selectSummaries(state).get(uid))?.last;
  const photo = usePhoto(row?.photo, 'row');
  if (!row) return null;
  const today = localDay();
  const standing = due && standingOf(due, last, today);
  const ago = last === undefined ? '' : texts.lastTalk(formatAgo(daysBetween(last, today)));
  const second = [why, standing?.label, ago, why === '' && !due ? row.second : '']
    .filter(Boolean)
    .join(' · ');
  return (
    <View className="border-b border-rule">
      <View className="flex-row items-center">
        <View className="min-w-0 flex-1">
          <ListRow
            title={row.shown}
            second={second}
            stamp={<Stamp initials={row.initials} isOrg={row.isOrg} photo={photo} />}
            hasLine={false}
            href={cardPath(uid)}
            onPress={() => go(cardPath(uid))}
          />
        </View>
        {standing ? <Thread share={standing.share} label={standing.label} /> : null}
      </View>
      {acts === null ? null : <View className="pl-1 wide:pl-[66px]">{acts}</View>}
    </View>
  );
}
