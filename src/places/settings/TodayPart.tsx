import { View } from 'react-native';

import { changeSettings, selectSettings, useAppDispatch, useAppSelector } from '@/book';
import { Choice, Field, Txt } from '@/ui';

/** What Today goes by. */
export function TodayPart() {
  const dispatch = useAppDispatch();
  const { leapDay, quietCount } = useAppSelector(selectSettings);
  return (
    <View className="gap-3">
      <Field
        label="Gone quiet: how many at most"
        value={String(quietCount)}
        onChange={(text) =>
          dispatch(changeSettings({ quietCount: Math.min(12, Number(text.replace(/\D/g, '')) || 0) }))
        }
        kind="tel"
        hint="0 leaves the part out"
        testID="quiet-count"
      />
      <View>
        <Txt size="small" tone="faded">
          29 February, in a year without one
        </Txt>
        <Choice
          name="29 February, in a year without one"
          options={[
            ['february-28', 'Is kept on 28 February'],
            ['march-1', 'Is kept on 1 March'],
          ]}
          value={leapDay}
          onChange={(value) => dispatch(changeSettings({ leapDay: value }))}
        />
      </View>
    </View>
  );
}
