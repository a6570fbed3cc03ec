import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { Act } from './Act';
import { Txt } from './Txt';

interface ProgressLineProps {
  readonly text: string;
  /** 0 to 1; undefined where nobody can tell, and no line is drawn. */
  readonly share01: number | undefined;
  readonly onStop?: () => void;
}

/** How far a long piece of work is, in words and as a line, and a way to stop it. */
export function ProgressLine({ text, share01, onStop }: ProgressLineProps) {
  return (
    <View className="gap-1">
      <View className="flex-row items-center justify-between gap-3">
        <Txt tone="faded" isFigures>
          {text}
        </Txt>
        {onStop ? <Act label={texts.stop} tone="brick" onPress={onStop} /> : null}
      </View>
      {share01 === undefined ? null : (
        <View
          role="progressbar"
          aria-label={text}
          aria-valuemin={0}
          aria-valuemax={100}
          aria-valuenow={Math.round(share01 * 100)}
          className="h-[3px] bg-rule"
        >
          <View className="h-[3px] bg-moss" style={{ width: `${Math.round(share01 * 100)}%` }} />
        </View>
      )}
    </View>
  );
}
