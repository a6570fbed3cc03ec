import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { DEFAULT_LAYOUT, FORM_PARTS, type FormPartId } from '@/core/card';
import { texts } from '@/texts/settings/settings';
import { Act, OrderedChoice, Txt } from '@/ui';

/** Which empty fields a new card offers at once, and in which order. */
export function LayoutPart() {
  const dispatch = useAppDispatch();
  const { cardLayout } = useAppSelector(selectSettings);
  const known = FORM_PARTS.map(({ id }) => id as FormPartId);
  const chosen = known.filter((id) => cardLayout.includes(id));
  const layout: readonly FormPartId[] =
    chosen.length === 0
      ? DEFAULT_LAYOUT
      : [...chosen].sort((a, b) => cardLayout.indexOf(a) - cardLayout.indexOf(b));
  const set = (next: readonly FormPartId[]) =>
    dispatch(changeSettingsUndoably(texts.cardLayout, { cardLayout: [...next] }));
  return (
    <View>
      <Txt size="small" tone="faded">
        {texts.whatNewCardOffers}
      </Txt>
      <OrderedChoice
        options={FORM_PARTS.map(({ id, title }) => [id as FormPartId, title] as const)}
        chosen={layout}
        onChange={set}
        nameOf={(title) => texts.isOfferedAtOnce(title)}
        testID="layout"
        atLeast={1}
      />
      {chosen.length === 0 ? null : (
        <View className="flex-row">
          <Act label={texts.reset} onPress={() => set([])} />
        </View>
      )}
    </View>
  );
}
