import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, SORT_ORDERS, useAppDispatch, useAppSelector } from '@/book/state';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/find/book';
import { Choice, Sheet, Switch } from '@/ui';

/** How the Book is put in order. */
export function OrderSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { sortBy, particlesCount } = useAppSelector(selectSettings);
  return (
    <Sheet title={texts.orderOfBook} isOpen={isOpen} onClose={onClose}>
      <View className="gap-3 pt-2">
        <Choice
          name={texts.sortedBy}
          options={SORT_ORDERS}
          value={sortBy}
          onChange={(value) => dispatch(changeSettingsUndoably(texts.orderOfBook, { sortBy: value }))}
        />
        <Switch
          label={texts.particleCount}
          hint={shared.vanDijkStandsUnder}
          isOn={particlesCount}
          onChange={(isOn) =>
            dispatch(changeSettingsUndoably(texts.particlesInOrder, { particlesCount: isOn }))
          }
        />
      </View>
    </Sheet>
  );
}
