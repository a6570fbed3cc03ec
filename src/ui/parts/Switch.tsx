import { Pressable, View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { keyProps } from './keyProps';
import { Txt } from './Txt';

interface SwitchProps {
  readonly label: string;
  readonly hint?: string;
  readonly isOn: boolean;
  readonly onChange: (isOn: boolean) => void;
  readonly testID?: string;
}

/** Something that is on or off; which of the two is also said in a word. */
export function Switch({ label, hint, isOn, onChange, testID }: SwitchProps) {
  return (
    <Pressable
      role="switch"
      aria-checked={isOn}
      aria-label={hint === undefined ? label : `${label}: ${hint}`}
      onPress={() => onChange(!isOn)}
      {...keyProps({ ' ': () => onChange(!isOn) })}
      {...(testID === undefined ? {} : { testID })}
      className="min-h-[44px] flex-row items-center gap-3 border-b border-rule py-2 hover:bg-leaf active:bg-leaf"
    >
      <View className="min-w-0 flex-1">
        <Txt>{label}</Txt>
        {hint === undefined ? null : (
          <Txt size="small" tone="faded">
            {hint}
          </Txt>
        )}
      </View>
      <Txt size="small" tone={isOn ? 'moss' : 'faded'} font="sansBold">
        {isOn ? texts.on : texts.off}
      </Txt>
      <View
        className={`h-[22px] w-[38px] justify-center rounded-[4px] border ${isOn ? 'border-moss bg-moss' : 'border-faded bg-paper'}`}
      >
        <View
          className={`h-[16px] w-[14px] rounded-[2px] ${isOn ? 'ml-[19px] bg-paper' : 'ml-[3px] bg-faded'}`}
        />
      </View>
    </Pressable>
  );
}
