import type { ReactNode } from 'react';
import { View } from 'react-native';

import { selectRowsByUid, useAppSelector, usePhoto } from '@/book/state';
import type { Uid } from '@/core/card';
import { cardPath } from '@/platform';
import { go } from '@/platform/navigation';
import { ListRow, Stamp } from '@/ui';

interface PlannedRowProps {
  readonly uids: readonly Uid[];
  readonly title: string;
  /** The names of all come after it. */
  readonly second: string;
  readonly acts: ReactNode;
}

/** Something planned with one person or several; opens the card of the first. */
export function PlannedRow({ uids, title, second, acts }: PlannedRowProps) {
  const rows = useAppSelector(selectRowsByUid);
  const people = uids.flatMap((uid) => rows.get(uid) ?? []);
  const [first] = people;
  const photo = usePhoto(first?.photo, 'row');
  if (!first) return null;
  const names = people.map(({ shown }) => shown).join(', ');
  return (
    <View className="border-b border-rule">
      <ListRow
        title={title}
        second={[names, second].filter(Boolean).join(' · ')}
        stamp={<Stamp initials={first.initials} isOrg={first.isOrg} photo={photo} />}
        hasLine={false}
        href={cardPath(first.uid)}
        onPress={() => go(cardPath(first.uid))}
      />
      <View className="pl-1 wide:pl-[66px]">{acts}</View>
    </View>
  );
}
