import type { ReactNode } from 'react';
import { View } from 'react-native';

import { Txt } from './Txt';

interface TitledPartProps {
  readonly title: string;
  readonly children: ReactNode;
}

/** A part of a page under a small title and a hairline. */
export function TitledPart({ title, children }: TitledPartProps) {
  return (
    <View className="gap-1">
      <View className="border-b border-rule pb-1">
        <Txt size="small" font="sansBold" tone="faded" heading={2}>
          {title}
        </Txt>
      </View>
      {children}
    </View>
  );
}
