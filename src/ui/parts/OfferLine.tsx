import { Pressable } from 'react-native';

import { Txt } from './Txt';

interface OfferLineProps {
  readonly title: string;
  /** '' for none. */
  readonly second: string;
  /** For screen readers: what pressing it does. */
  readonly name: string;
  /** The one that Enter would take. */
  readonly isChosen?: boolean;
  readonly onPress: () => void;
}

/** A line that completes what is being typed. */
export function OfferLine({ title, second, name, isChosen = false, onPress }: OfferLineProps) {
  return (
    <Pressable
      role="button"
      aria-label={name}
      onPress={onPress}
      className={`min-h-[44px] justify-center border-b border-rule py-2 pl-3 active:bg-leaf ${isChosen ? 'bg-leaf' : 'hover:bg-leaf'}`}
    >
      <Txt font="serif" size="strong" lines={1}>
        {title}
      </Txt>
      {second === '' ? null : (
        <Txt size="small" tone="faded" lines={1}>
          {second}
        </Txt>
      )}
    </Pressable>
  );
}
