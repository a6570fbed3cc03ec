import { View } from 'react-native';

import type { OtherWriter } from '@/core/extract';
import { texts } from '@/texts/extract/extract';
import { Act, Txt } from '@/ui';

interface OtherWritersProps {
  readonly others: readonly OtherWriter[];
  /** Whether what is read is a part of a longer text. */
  readonly isPart: boolean;
  readonly onRead: (text: string) => void;
  readonly onWhole: () => void;
}

/** Who else has written in a thread, and may be read instead. */
export function OtherWriters({ others, isPart, onRead, onWhole }: OtherWritersProps) {
  if (others.length === 0 && !isPart) return null;
  return (
    <View className="gap-1 pt-4" testID="other-writers">
      {others.length > 0 ? <Txt tone="faded">{texts.alsoWrote}</Txt> : null}
      <View className="flex-row flex-wrap gap-x-5">
        {others.map(({ name, text }) => (
          <Act key={name} label={texts.readInstead(name)} onPress={() => onRead(text)} testID="read-other" />
        ))}
        {isPart ? <Act label={texts.backToWhole} tone="faded" onPress={onWhole} testID="read-whole" /> : null}
      </View>
    </View>
  );
}
