import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, SORT_ORDERS, useAppDispatch, useAppSelector } from '@/book/state';
import { Choice, Sheet, Switch } from '@/ui';

/** How the Book is put in order. */
export function OrderSheet({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
  const dispatch = useAppDispatch();
  const { sortBy, particlesCount } = useAppSelector(selectSettings);
  return (
    <Sheet title="Order of the Book" isOpen={isOpen} onClose={onClose}>
      <View className="gap-3 pt-2">
        <Choice
          name="Sorted by"
          options={SORT_ORDERS}
          value={sortBy}
          onChange={(value) => dispatch(changeSettingsUndoably('Order of the Book', { sortBy: value }))}
        />
        <Switch
          label="Particles count"
          hint="“van Dijk” stands under V"
          isOn={particlesCount}
          onChange={(isOn) =>
            dispatch(changeSettingsUndoably('Particles in the order', { particlesCount: isOn }))
          }
        />
      </View>
    </Sheet>
  );
}
