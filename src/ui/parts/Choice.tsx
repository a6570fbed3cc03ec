import { Pressable, View } from 'react-native';

import { Check } from '../icons';
import { useColours } from '../theme/ThemeProvider';
import { radioProps } from './keyProps';
import { Txt } from './Txt';

interface ChoiceProps<T extends string> {
  readonly name: string;
  readonly options: readonly (readonly [value: T, label: string])[];
  readonly value: T | undefined;
  readonly onChange: (value: T) => void;
}

/** One of a few lines; the chosen one has a tick. */
export function Choice<T extends string>({ name, options, value, onChange }: ChoiceProps<T>) {
  const colours = useColours();
  return (
    <View role="radiogroup" aria-label={name}>
      {options.map(([option, label]) => {
        const isChosen = option === value;
        return (
          <Pressable
            key={option}
            role="radio"
            aria-checked={isChosen}
            onPress={() => onChange(option)}
            {...radioProps(options, option, value, onChange)}
            className="min-h-[44px] flex-row items-center gap-3 border-b border-rule hover:bg-leaf active:bg-leaf"
          >
            <View className="w-5">
              {isChosen ? <Check size={20} strokeWidth={1.75} color={colours.berry} /> : null}
            </View>
            <View className="min-w-0 flex-1">
              <Txt font={isChosen ? 'sansBold' : 'sans'}>{label}</Txt>
            </View>
          </Pressable>
        );
      })}
    </View>
  );
}
