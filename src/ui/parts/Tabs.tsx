import { Pressable, View } from 'react-native';

import { radioProps } from './keyProps';
import { Txt } from './Txt';

interface TabsProps<T extends string> {
  readonly name: string;
  readonly options: readonly (readonly [value: T, label: string])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

/** A choice of a few words; the chosen one is bold and underlined. */
export function Tabs<T extends string>({ name, options, value, onChange }: TabsProps<T>) {
  return (
    <View role="radiogroup" aria-label={name} className="-mx-[13px] flex-row flex-wrap">
      {options.map(([option, label]) => (
        <Pressable
          key={option}
          role="radio"
          aria-checked={option === value}
          onPress={() => onChange(option)}
          {...radioProps(options, option, value, onChange)}
          className="min-h-[44px] justify-center px-[13px] active:opacity-60"
        >
          <View className={`border-b-2 pb-1 ${option === value ? 'border-berry' : 'border-transparent'}`}>
            <Txt tone={option === value ? 'berry' : 'faded'} font={option === value ? 'sansBold' : 'sans'}>
              {label}
            </Txt>
          </View>
        </Pressable>
      ))}
    </View>
  );
}
