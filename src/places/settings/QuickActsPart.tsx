import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, type Settings, useAppDispatch, useAppSelector } from '@/book/state';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/settings/settings';
import { Act, OrderedChoice, Txt } from '@/ui';

type QuickAct = Settings['quickActs'][number];

const ACTS: readonly (readonly [QuickAct, string])[] = [
  ['call', texts.call],
  ['write', texts.write],
  ['message', texts.message],
  ['talk', shared.noteTalk],
  ['edit', texts.edit],
  ['way', texts.directions],
  ['copy', texts.copyNumber],
  ['pin', texts.pin],
];

/** What the quick line offers for a card that it has found. */
export function QuickActsPart() {
  const dispatch = useAppDispatch();
  const { quickActs, recentActs } = useAppSelector(selectSettings);
  return (
    <View>
      <Txt size="small" tone="faded">
        {texts.whatIsOfferedForCard}
      </Txt>
      <OrderedChoice
        options={ACTS}
        chosen={quickActs}
        onChange={(acts) => dispatch(changeSettingsUndoably(texts.actsBesideQuickLine, { quickActs: acts }))}
        nameOf={(title) => texts.isOffered(title)}
        testID="quick-offer"
      />
      {recentActs.length === 0 ? null : (
        <View className="flex-row">
          <Act
            label={texts.clearRecentActs}
            onPress={() =>
              dispatch(changeSettingsUndoably(texts.clearedRecentActs, { recentActs: [] }, false))
            }
          />
        </View>
      )}
    </View>
  );
}
