import type { ReactNode } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { ChevronLeft } from '../icons';
import { Act } from './Act';

interface PageBarProps {
  readonly backLabel: string;
  readonly onBack: () => void;
  readonly children?: ReactNode;
}

/** The way back from a page that lies over its place, on a phone. */
export function PageBar({ backLabel, onBack, children }: PageBarProps) {
  return (
    <View className="flex-row items-center justify-between border-b border-rule bg-paper px-3">
      <Act
        label={backLabel}
        name={texts.backTo(backLabel)}
        icon={ChevronLeft}
        tone="faded"
        onPress={onBack}
      />
      {children}
    </View>
  );
}
