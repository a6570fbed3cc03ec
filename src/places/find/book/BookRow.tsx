import { memo } from 'react';
import { View } from 'react-native';

import {
  choiceToggled,
  selectIsChoosing,
  selectIsPicked,
  selectRow,
  useAppDispatch,
  useAppSelector,
  usePhoto,
} from '@/book/state';
import type { Uid } from '@/core/card';
import { cardPath, ROW_ID } from '@/platform';
import { go } from '@/platform/navigation';
import { ListRow, Stamp, Txt } from '@/ui';

import { RowTags } from './RowTags';
import { useTonedTags } from './useTonedTags';

interface BookRowProps {
  readonly uid: Uid;
  readonly isOpen: boolean;
  /** Chooses from the row chosen last up to this one. */
  readonly onRange: (uid: Uid) => void;
}

/** One card of the Book. It is redrawn only when its own row changes. */
export const BookRow = memo(function BookRow({ uid, isOpen, onRange }: BookRowProps) {
  const row = useAppSelector((state) => selectRow(state, uid));
  const photo = usePhoto(row?.photo, 'row');
  const isChoosing = useAppSelector(selectIsChoosing);
  const isPicked = useAppSelector((state) => selectIsPicked(state, uid));
  const toned = useTonedTags(row?.tags);
  const dispatch = useAppDispatch();
  if (!row) return null;
  const path = cardPath(uid);
  const toggle = () => dispatch(choiceToggled(uid));
  return (
    <View className="pl-4">
      <ListRow
        nativeID={`${ROW_ID}${uid}`}
        title={row.shown}
        second={row.second}
        stamp={<Stamp initials={row.initials} isOrg={row.isOrg} photo={photo} />}
        end={<RowTags toned={toned} />}
        endName={toned.map(({ tag }) => tag).join(', ')}
        isChosen={isOpen}
        isTabStop={false}
        isTicked={isChoosing ? isPicked : undefined}
        href={path}
        onPress={isChoosing ? toggle : () => go(path)}
        onShiftPress={() => onRange(uid)}
        onLongPress={toggle}
      />
    </View>
  );
});

/** The letter over the rows that begin with it. */
export function LetterRow({ letter }: { readonly letter: string }) {
  return (
    <View className="px-5 pt-3">
      <Txt font="serif" size="title" tone="berry" heading={2}>
        {letter}
      </Txt>
    </View>
  );
}
