import { useMemo, useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import type { TodayPlan } from '@/core/talks';
import { cardPath, localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { ListRow, Txt } from '@/ui';

import { type StripDay, type StripMark, stripOf } from './strip';
import { WindowAct, WindowSheet } from './WindowSheet';

interface AlmanacStripProps {
  readonly plan: TodayPlan;
  readonly days: number;
}

/** The coming time as a line of days: a dot for a birthday, a ring for another day, a stroke for what is to be done. */
export function AlmanacStrip({ plan, days }: AlmanacStripProps) {
  const rows = useAppSelector(selectRowsByUid);
  const [open, setOpen] = useState<string>();
  const [isChoosing, setChoosing] = useState(false);
  const strip = useMemo(() => stripOf(plan, localDay(), days), [plan, days]);
  const shown = strip.find(({ day }) => day === open);
  return (
    <View testID="almanac">
      <ScrollView horizontal showsHorizontalScrollIndicator={false}>
        <View role="list" aria-label={texts.comingDays} className="flex-row">
          {strip.map((one) => (
            <Day
              key={one.day}
              {...one}
              isOpen={one.day === open}
              onPress={() => setOpen(one.day === open ? undefined : one.day)}
            />
          ))}
        </View>
        <View className="justify-end pl-3">
          <WindowAct days={days} onPress={() => setChoosing(true)} />
        </View>
      </ScrollView>
      {shown ? (
        <View testID="almanac-day">
          {shown.entries.map(({ key, uid, mark, words }) => (
            <ListRow
              key={key}
              title={rows.get(uid)?.shown ?? ''}
              second={words}
              stamp={<Mark mark={mark} />}
              href={cardPath(uid)}
              onPress={() => go(cardPath(uid))}
            />
          ))}
          {shown.entries.length === 0 ? <Txt tone="faded">{texts.nothingOnThisDay}</Txt> : null}
        </View>
      ) : null}
      {isChoosing ? <WindowSheet onClose={() => setChoosing(false)} /> : null}
    </View>
  );
}

function Day({
  day,
  entries,
  isOpen,
  onPress,
}: StripDay & { readonly isOpen: boolean; readonly onPress: () => void }) {
  const date = new Date(`${day}T12:00:00`);
  const isMonthStart = day.endsWith('-01');
  const words = date.toLocaleDateString(LOCALE, { weekday: 'long', day: 'numeric', month: 'long' });
  const marks = [...new Set(entries.map(({ mark }) => mark))];
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={`${words}: ${entries.length === 0 ? texts.nothing : entries.map((entry) => entry.words).join(', ')}`}
        aria-expanded={isOpen}
        onPress={onPress}
        className={`min-h-[48px] w-[44px] items-center justify-end border-b-2 pb-1 hover:bg-leaf ${isOpen ? 'border-berry bg-leaf' : 'border-rule'}`}
      >
        <View className="h-[18px] flex-row items-end justify-center gap-[3px]">
          {marks.map((mark) => (
            <Mark key={mark} mark={mark} />
          ))}
        </View>
        <Txt size="small" tone={isMonthStart ? 'berry' : 'faded'} isFigures>
          {isMonthStart ? date.toLocaleDateString(LOCALE, { month: 'short' }) : String(date.getDate())}
        </Txt>
      </Pressable>
    </View>
  );
}

/** A filled dot, a ring, a stroke. */
function Mark({ mark }: { readonly mark: StripMark }) {
  if (mark === 'stroke') return <View className="h-[12px] w-[2px] bg-ochre" />;
  return (
    <View
      className={`h-[9px] w-[9px] rounded-full border-2 border-berry ${mark === 'dot' ? 'bg-berry' : 'bg-transparent'}`}
    />
  );
}
