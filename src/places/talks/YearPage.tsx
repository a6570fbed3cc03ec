import { useState } from 'react';
import { Pressable, ScrollView, View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import { useToday } from '@/book/talks';
import { addDays, addMonths, daysBetween, monthName } from '@/core/base';
import type { UpcomingDay } from '@/core/card';
import { cardPath, localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import {
  Act,
  ChevronDown,
  ChevronRight,
  ListRow,
  PageBar,
  Txt,
  useColours,
  usePageTitle,
  useWide,
} from '@/ui';

import { dayWords } from './dayWords';
import { RhythmChart, YearChart } from './YearCharts';

/** Days of a month that are shown at once; a large book has hundreds. */
const SHOWN = 60;

/** The coming twelve months with the days that come round, and how the last twelve went. */
export function YearPage() {
  usePageTitle(texts.year);
  const { isWide } = useWide();
  const today = localDay();
  const last = addDays(addMonths(`${today.slice(0, 7)}-01`, 12), -1);
  const plan = useToday(daysBetween(today, last));
  const days = plan ? [...plan.greetings, ...plan.coming] : [];
  const months = Array.from({ length: 12 }, (_, i) => addMonths(`${today.slice(0, 7)}-01`, i).slice(0, 7));
  return (
    <View className="flex-1" testID="year-page">
      {isWide ? null : <PageBar backLabel={texts.today} onBack={() => go('/today')} />}
      <ScrollView>
        <View className={`max-w-[760px] gap-6 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
          <View className="gap-1">
            {isWide ? (
              <View className="flex-row">
                <Act label={texts.backToToday} tone="faded" onPress={() => go('/today')} />
              </View>
            ) : null}
            <Txt font="serif" size="head" heading={1}>
              {texts.year}
            </Txt>
            <Txt font="serifItalic" size="strong">
              {plan
                ? texts.daysComeRoundUntil(days.length, monthName(last.slice(0, 7), LOCALE))
                : texts.readingBook}
            </Txt>
          </View>
          <View>
            {months.map((month, i) => (
              <Month
                key={month}
                month={month}
                days={days.filter(({ date }) => date.startsWith(month))}
                isFirst={i === 0}
              />
            ))}
          </View>
          <YearChart />
          <RhythmChart />
        </View>
      </ScrollView>
    </View>
  );
}

interface MonthProps {
  readonly month: string;
  readonly days: readonly UpcomingDay[];
  readonly isFirst: boolean;
}

function Month({ month, days, isFirst }: MonthProps) {
  const colours = useColours();
  const [isOpen, setOpen] = useState(isFirst);
  const [isAll, setAll] = useState(false);
  const Chevron = isOpen ? ChevronDown : ChevronRight;
  const shown = isAll ? days : days.slice(0, SHOWN);
  return (
    <View className="border-b border-rule">
      <Pressable
        role="button"
        aria-expanded={isOpen}
        aria-label={texts.days(monthName(month, LOCALE), days.length)}
        onPress={() => setOpen(!isOpen)}
        className="min-h-[52px] flex-row items-center gap-3 hover:bg-leaf active:bg-leaf"
      >
        <View className="min-w-0 flex-1">
          <Txt font="serif" size="title">
            {monthName(month, LOCALE)}
          </Txt>
        </View>
        <Txt tone="faded" isFigures>
          {days.length === 0 ? texts.nothing : String(days.length)}
        </Txt>
        <Chevron size={20} strokeWidth={1.75} color={colours.faded} />
      </Pressable>
      {isOpen ? shown.map((day) => <DayRow key={`${day.uid} ${day.kind} ${day.date}`} day={day} />) : null}
      {isOpen && shown.length < days.length ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(days.length - shown.length)}
            tone="faded"
            onPress={() => setAll(true)}
          />
        </View>
      ) : null}
    </View>
  );
}

function DayRow({ day: { uid, date, kind, years } }: { readonly day: UpcomingDay }) {
  const name = useAppSelector((state) => selectRowsByUid(state).get(uid))?.shown ?? '';
  const weekday = new Date(`${date}T12:00:00`).toLocaleDateString(LOCALE, { weekday: 'short' });
  return (
    <ListRow
      title={name}
      second={dayWords(kind, years)}
      stamp={
        <View className="w-[52px] flex-row items-baseline gap-2">
          <Txt size="title" font="serif" isFigures>
            {String(Number(date.slice(8)))}
          </Txt>
          <Txt size="small" tone="faded">
            {weekday}
          </Txt>
        </View>
      }
      href={cardPath(uid)}
      onPress={() => go(cardPath(uid))}
    />
  );
}
