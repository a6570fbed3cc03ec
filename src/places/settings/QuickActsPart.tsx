import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type Settings, useAppDispatch, useAppSelector } from '@/book/state';
import { Act, OrderedChoice, Txt } from '@/ui';

type QuickAct = Settings['quickActs'][number];

const ACTS: readonly (readonly [QuickAct, string])[] = [
  ['call', 'Call'],
  ['write', 'Write'],
  ['message', 'Message'],
  ['talk', 'Note a talk'],
  ['edit', 'Edit'],
  ['way', 'Directions'],
  ['copy', 'Copy the number'],
  ['pin', 'Pin'],
];

/** What the quick line offers for a card that it has found. */
export function QuickActsPart() {
  const dispatch = useAppDispatch();
  const { quickActs, recentActs } = useAppSelector(selectSettings);
  return (
    <View>
      <Txt size="small" tone="faded">
        What is offered for a card that was found, in this order; the arrow keys to the right and left go over
        it.
      </Txt>
      <OrderedChoice
        options={ACTS}
        chosen={quickActs}
        onChange={(acts) =>
          dispatch(changeSettingsUndoably('Acts beside the quick line', { quickActs: acts }))
        }
        nameOf={(title) => `${title} is offered`}
        testID="quick-offer"
      />
      {recentActs.length === 0 ? null : (
        <View className="flex-row">
          <Act
            label="Clear recent acts"
            onPress={() => dispatch(changeSettingsUndoably('Cleared recent acts', { recentActs: [] }, false))}
          />
        </View>
      )}
    </View>
  );
}
