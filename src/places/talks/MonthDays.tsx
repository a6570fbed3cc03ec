import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { selectRowsByUid, useAppSelector } from '@/book/state';
import { monthName } from '@/core/base';
import type { UpcomingDay } from '@/core/card';
import { cardPath, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { Act, ChevronDown, ChevronRight, ListRow, Txt, useColours } from '@/ui';

import { dayWords } from './dayWords';

/** Days of a month that are shown at once; a large book has hundreds. */
const SHOWN = 60;

interface MonthProps {
  readonly month: string;
  readonly days: readonly UpcomingDay[];
}

/** A month by its name, with its days under it when it is pressed. */
export function MonthFold({ month, days, isFirst }: MonthProps & { readonly isFirst: boolean }) {
  const colours = useColours();
  const [isOpen, setOpen] = useState(isFirst);
  const Chevron = isOpen ? ChevronDown : ChevronRight;
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
      {isOpen ? <MonthDays days={days} /> : null}
    </View>
  );
}

/** The days of a month, each with whom it belongs to. */
export function MonthDays({ days }: Pick<MonthProps, 'days'>) {
  const [isAll, setAll] = useState(false);
  const shown = isAll ? days : days.slice(0, SHOWN);
  return (
    <>
      {shown.map((day) => (
        <DayRow key={`${day.uid} ${day.kind} ${day.date}`} day={day} />
      ))}
      {shown.length < days.length ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(days.length - shown.length)}
            tone="faded"
            onPress={() => setAll(true)}
          />
        </View>
      ) : null}
    </>
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
        <View className="w-[52px] flex-row items-baseline gap-1">
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
