import { useController } from 'react-hook-form';
import { View } from 'react-native';

import { type Ringtone, ringtoneOf, RINGTONES } from '@/core/card';
import { ringOnce } from '@/platform';
import { texts } from '@/texts/card/edit';
import { Choice, Txt } from '@/ui';

import type { PartProps } from './FormField';

/** The tone that a call of theirs has on a phone; each is heard when it is chosen. */
export function RingtoneChoice({ form }: PartProps) {
  const { field } = useController({ control: form.control, name: 'ring' });
  const choose = (ring: Ringtone) => {
    field.onChange(ring);
    ringOnce(ring);
  };
  return (
    <View testID="field-ring">
      <Txt size="small" tone="faded">
        {texts.ringtone}
      </Txt>
      <Choice
        name={texts.ringtone}
        options={RINGTONES}
        value={ringtoneOf({ 'cordialis.example:ring': field.value })}
        onChange={choose}
      />
    </View>
  );
}
