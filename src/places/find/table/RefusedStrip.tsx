import { View } from 'react-native';

import { texts } from '@/texts/find/table';
import { Act, Txt } from '@/ui';

import type { Refused } from './useWriting';

const SHOWN = 3;

interface RefusedStripProps {
  readonly refused: readonly Refused[];
  readonly onClose: () => void;
}

/** What could not be written: where, what, and why. */
export function RefusedStrip({ refused, onClose }: RefusedStripProps) {
  if (refused.length === 0) return null;
  return (
    <View className="border-b border-rule bg-leaf px-5 py-2" role="alert">
      <View className="flex-row items-center justify-between">
        <Txt font="sansBold" tone="brick">
          {texts.valuesWereNotTaken(refused.length)}
        </Txt>
        <Act label={texts.close} tone="faded" onPress={onClose} />
      </View>
      {refused.slice(0, SHOWN).map(({ where, text, why }) => (
        <Txt key={`${where} ${text}`} size="small">
          {`${where}: “${text}”. ${why}`}
        </Txt>
      ))}
      {refused.length > SHOWN ? (
        <Txt size="small" tone="faded">
          {texts.andMore(refused.length - SHOWN)}
        </Txt>
      ) : null}
    </View>
  );
}
