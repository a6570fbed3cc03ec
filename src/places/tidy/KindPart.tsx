import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/tidy/tidy';
import { Act, Txt } from '@/ui';

interface KindProps<T> {
  readonly title: string;
  readonly items: readonly T[];
  /** How many are shown at first, and how many more with each press. */
  readonly shownAtFirst: number;
  readonly step: number;
  readonly rowOf: (item: T) => ReactNode;
  /** What can be done with all of them. */
  readonly act?: ReactNode;
  readonly testID: string;
}

/** Findings of one kind: how many there are, what can be done with all, and the first of them. */
export function KindPart<T>({ title, items, shownAtFirst, step, rowOf, act, testID }: KindProps<T>) {
  const [shown, setShown] = useState(shownAtFirst);
  if (items.length === 0) return null;
  return (
    <View className="pt-3" testID={testID}>
      <View className="flex-row flex-wrap items-center justify-between gap-x-4">
        <Txt size="small" font="sansBold" tone="faded" heading={3}>
          {`${title}: ${items.length}`}
        </Txt>
        {act}
      </View>
      {items.slice(0, shown).map(rowOf)}
      {items.length > shown ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(items.length - shown)}
            name={texts.more(title, items.length - shown)}
            tone="faded"
            onPress={() => setShown(shown + step)}
          />
        </View>
      ) : null}
    </View>
  );
}
