import type { ReactNode } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/base/ui';

import { usePageTitle } from '../theme/usePageTitle';
import { Txt } from './Txt';

interface EmptyPlaceProps {
  readonly title: string;
  readonly text: string;
  readonly isComing?: boolean;
  readonly children?: ReactNode;
}

/** A place without anything in it yet: what will be here, and the first step. */
export function EmptyPlace({ title, text, isComing = false, children }: EmptyPlaceProps) {
  usePageTitle(title);
  return (
    <View className="max-w-[560px] gap-3 px-5 pt-6">
      <Txt font="serif" size="head" heading={1}>
        {title}
      </Txt>
      {isComing ? (
        <Txt size="small" tone="ochre" font="sansBold">
          {texts.coming}
        </Txt>
      ) : null}
      <Txt font="serifItalic" size="strong" tone="faded">
        {text}
      </Txt>
      {children}
    </View>
  );
}
