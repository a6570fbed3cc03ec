import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book';
import { addDays } from '@/core/days';
import { type TodayPlan } from '@/core/talks';
import { cardPath, localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { ListRow, Txt } from '@/ui';

interface AlmanacStripProps {
  readonly plan: TodayPlan;
  readonly days: number;
}

/** What a day of the strip brings. */
interface StripDay {
  readonly day: string;
  readonly entries: readonly {
    readonly uid: string;
    readonly kind: 'birth' | 'wedding' | 'due';
    readonly words: string;
  }[];
}

/** The coming weeks as a line of days: a dot for a birthday, a ring for a wedding day, a stroke for a talk. */
export function AlmanacStrip({ plan, days }: AlmanacStripProps) {
  const rows = useAppSelector(selectRowsByUid);
  const [open, setOpen] = useState<string>();
  const strip = daysOf(plan, days);
  const shown = strip.find(({ day }) => day === open);
  return (
    <View testID="almanac">
      <ScrollView horizontal showsHorizontalScrollIndicator={false} role="list" aria-label="The coming weeks">
        {strip.map(({ day, entries }) => (
          <Day
            key={day}
            day={day}
            entries={entries}
            isOpen={day === open}
            onPress={() => setOpen(day === open ? undefined : day)}
          />
        ))}
      </ScrollView>
      {shown ? (
        <View testID="almanac-day">
          {shown.entries.map(({ uid, kind, words }) => (
            <ListRow
              key={`${uid} ${kind}`}
              title={rows.get(uid)?.shown ?? ''}
              second={words}
              stamp={<Mark kind={kind} />}
              href={cardPath(uid)}
              onPress={() => go(cardPath(uid))}
            />
          ))}
          {shown.entries.length === 0 ? <Txt tone="faded">Nothing on this day.</Txt> : null}
        </View>
      ) : null}
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
  const kinds = [...new Set(entries.map(({ kind }) => kind))];
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-label={`${words}: ${entries.length === 0 ? 'nothing' : entries.map((entry) => entry.words).join(', ')}`}
        aria-expanded={isOpen}
        onPress={onPress}
        className={`min-h-[60px] w-[44px] items-center justify-end border-b-2 pb-1 hover:bg-leaf ${isOpen ? 'border-berry bg-leaf' : 'border-rule'}`}
      >
        <View className="h-[18px] flex-row items-end justify-center gap-[3px]">
          {kinds.map((kind) => (
            <Mark key={kind} kind={kind} />
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
function Mark({ kind }: { readonly kind: 'birth' | 'wedding' | 'due' }) {
  if (kind === 'due') return <View className="h-[12px] w-[2px] bg-ochre" />;
  return (
    <View
      className={`h-[9px] w-[9px] rounded-full border-2 border-berry ${kind === 'birth' ? 'bg-berry' : 'bg-transparent'}`}
    />
  );
}

function daysOf({ coming, comingDue }: TodayPlan, count: number): StripDay[] {
  const today = localDay();
  return Array.from({ length: count }, (_, i) => {
    const day = addDays(today, i + 1);
    const dates = coming
      .filter(({ date }) => date === day)
      .map(({ uid, kind, years }) => ({
        uid,
        kind: kind === 'wedding' ? ('wedding' as const) : ('birth' as const),
        words: `${kind === 'wedding' ? 'wedding day' : 'birthday'}${years === null || years === 0 ? '' : `, ${years} years`}`,
      }));
    const dues = comingDue
      .filter((due) => due.day === day)
      .map(({ uid }) => ({ uid, kind: 'due' as const, words: 'talk due' }));
    return { day, entries: [...dates, ...dues] };
  });
}
