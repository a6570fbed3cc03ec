import { View } from 'react-native';

import { useTone } from '../theme/tones';

/** A small mark in a tone, beside a word that says the same; an empty one where there is no tone. */
export function ToneMark({ tone }: { readonly tone: number | undefined }) {
  const backgroundColor = useTone(tone);
  return (
    <View
      aria-hidden
      className={`h-[14px] w-[10px] rounded-[2px] ${backgroundColor === undefined ? 'border border-rule' : ''}`}
      style={backgroundColor === undefined ? null : { backgroundColor }}
    />
  );
}
