import { Pressable, View } from 'react-native';

import { useTalkBars } from '@/book/talks';
import type { Uid } from '@/core/card';
import { texts } from '@/texts/card/talk';
import { Txt } from '@/ui';

/** Height in px of the month with the most talks. */
const HEIGHT = 36;

interface TalkGlanceProps {
  readonly uid: Uid;
  readonly isOpen: boolean;
  /** Shows the same by who began them, with a table, or hides it. */
  readonly onPress: () => void;
}

/** How much was talked with somebody in each of the last twelve months, at a glance. */
export function TalkGlance({ uid, isOpen, onPress }: TalkGlanceProps) {
  const bars = useTalkBars(uid);
  const counts = bars?.map(({ parts }) => parts[0] + parts[1] + parts[2]) ?? [];
  const most = Math.max(1, ...counts);
  const sum = counts.reduce((one, other) => one + other, 0);
  return (
    <Pressable
      role="button"
      aria-label={texts.talksInYear(sum)}
      aria-expanded={isOpen}
      onPress={onPress}
      className="active:opacity-60"
      testID="talk-chart"
    >
      <View className="h-[40px] flex-row items-end gap-[3px]" aria-hidden>
        {(bars ?? []).map(({ label }, i) => (
          <View
            key={label}
            className={`flex-1 rounded-t-[2px] ${counts[i] === 0 ? 'bg-rule' : 'bg-berry/45'}`}
            style={{ height: counts[i] === 0 ? 2 : Math.max(5, (HEIGHT * (counts[i] ?? 0)) / most) }}
          />
        ))}
      </View>
      <View className="flex-row justify-between" aria-hidden>
        <Txt size="small" tone="faded">
          {bars?.[0]?.label ?? ' '}
        </Txt>
        <Txt size="small" tone="faded">
          {bars?.at(-1)?.label ?? ' '}
        </Txt>
      </View>
    </Pressable>
  );
}
