import type { ReactNode } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/card/many';
import { Tick, Txt } from '@/ui';

interface ShareTickProps {
  readonly name: string;
  /** How many of the chosen it is true of, and how many there are. */
  readonly on: number;
  readonly of: number;
  readonly onChange: (isOn: boolean) => void;
  /** A mark beside the name. */
  readonly mark?: ReactNode;
}

/** A box that is ticked for all, some or none of the selected cards; pressing ticks it for all, or none. */
export function ShareTick({ name, on, of, onChange, mark }: ShareTickProps) {
  const isAll = on === of;
  const share = isAll ? '' : on === 0 ? '' : texts.ofCount(on, of);
  return (
    <Tick name={share === '' ? name : `${name}, ${share}`} isOn={isAll} onChange={() => onChange(!isAll)}>
      <View className="flex-row items-center gap-3">
        {mark}
        <Txt size="strong" lines={1}>
          {name}
        </Txt>
      </View>
      {share === '' ? null : (
        <Txt size="small" tone="faded">
          {share}
        </Txt>
      )}
    </Tick>
  );
}
