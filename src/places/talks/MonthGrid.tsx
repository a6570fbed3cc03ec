import { Pressable, View } from 'react-native';

import { firstWeekday, monthGrid, monthName } from '@/core/base';
import { localDay, LOCALE } from '@/platform';
import { texts } from '@/texts/talks/talks';
import { Txt } from '@/ui';

interface MonthGridProps {
  /** Such as 2026-11. */
  readonly month: string;
  /** The dates something comes round on. */
  readonly dates: ReadonlySet<string>;
  /** How much comes round in the month. */
  readonly count: number;
  readonly isChosen: boolean;
  readonly onPress: () => void;
}

/** A month as weeks of days: those something comes round on stand out, by weight and by a line under them. */
export function MonthGrid({ month, dates, count, isChosen, onPress }: MonthGridProps) {
  const isFirstOfYear = month.endsWith('-01');
  return (
    <Pressable
      role="button"
      aria-label={texts.days(monthName(month, LOCALE), count)}
      aria-pressed={isChosen}
      onPress={onPress}
      className={`min-w-[142px] max-w-[260px] flex-1 rounded-stamp p-2 hover:bg-leaf active:bg-leaf ${isChosen ? 'bg-leaf' : ''}`}
    >
      <View className="flex-row items-baseline justify-between gap-2 pb-1" aria-hidden>
        <Txt font="serif" size="strong" lines={1}>
          {isFirstOfYear ? monthName(month, LOCALE) : nameOf(month)}
        </Txt>
        <Txt size="small" tone="faded" isFigures>
          {count === 0 ? '' : String(count)}
        </Txt>
      </View>
      <View aria-hidden>
        {monthGrid(month, FIRST).map((week) => (
          <View key={week.find(Boolean)} className="flex-row">
            {week.map((day, i) => (
              <Day key={day ?? i} day={day} isMarked={day !== undefined && dates.has(day)} />
            ))}
          </View>
        ))}
      </View>
    </Pressable>
  );
}

/** "November": the year is said where it begins. */
function nameOf(month: string): string {
  return new Date(`${month}-15T12:00:00`).toLocaleDateString(LOCALE, { month: 'long' });
}

const FIRST = firstWeekday(LOCALE);

function Day({ day, isMarked }: { readonly day: string | undefined; readonly isMarked: boolean }) {
  const isToday = day === localDay();
  return (
    <View className="h-[24px] flex-1 items-center justify-center">
      <View
        className={`min-w-[18px] items-center border-b-2 ${isMarked ? 'border-berry' : 'border-transparent'} ${isToday ? 'bg-rule' : ''}`}
      >
        <Txt
          size="small"
          isFigures
          tone={isMarked || isToday ? 'ink' : 'faded'}
          {...(isMarked && { font: 'sansBold' as const })}
        >
          {day === undefined ? '' : String(Number(day.slice(8)))}
        </Txt>
      </View>
    </View>
  );
}
