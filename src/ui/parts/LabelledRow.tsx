import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Txt } from './Txt';

interface LabelledRowProps {
  readonly label: string;
  readonly children: ReactNode;
}

/** What something says of itself, its label to the left. */
export function LabelledRow({ label, children }: LabelledRowProps) {
  return (
    <View className="flex-row gap-3 border-b border-rule py-1">
      <View className="w-[84px] shrink-0">
        <Txt size="small" tone="faded">
          {label}
        </Txt>
      </View>
      <View className="min-w-0 flex-1">{children}</View>
    </View>
  );
}
