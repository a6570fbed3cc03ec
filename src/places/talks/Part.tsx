import { Children, type ReactNode, useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/talks/talks';
import { Act, Txt } from '@/ui';

/** The most people named in a part before the rest is folded away. */
const SHOWN = 6;

interface TitledProps {
  readonly title: string;
  readonly count: number;
  readonly children: ReactNode;
}

/** Rows under a small heading with their number; the rest is folded away. */
export function Part({ title, count, children }: TitledProps) {
  const [isAll, setAll] = useState(false);
  const rows = Children.toArray(children);
  if (count === 0) return null;
  const rest = rows.length - SHOWN;
  return (
    <View testID={`part-${title}`}>
      <View className="flex-row items-end justify-between border-b border-rule px-5 pb-[2px] pt-3 wide:px-6">
        <Txt size="small" font="sansBold" heading={2}>
          {title}
        </Txt>
        <Txt size="small" tone="faded" isFigures>
          {String(count)}
        </Txt>
      </View>
      {isAll ? rows : rows.slice(0, SHOWN)}
      {isAll || rest <= 0 ? null : (
        <View className="flex-row px-5 wide:px-6">
          <Act
            label={texts.moreRows(rest)}
            name={texts.more(title, rest)}
            tone="faded"
            onPress={() => setAll(true)}
          />
        </View>
      )}
    </View>
  );
}
