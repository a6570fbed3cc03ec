import { useState } from 'react';
import { ScrollView, View } from 'react-native';

import { useToday } from '@/book/talks';
import { addDays, addMonths, daysBetween, monthName } from '@/core/base';
import type { UpcomingDay } from '@/core/card';
import { localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { Act, Coming, PageBar, Panes, Txt, usePageTitle, useWide } from '@/ui';

import { MonthDays, MonthFold } from './MonthDays';
import { MonthGrid } from './MonthGrid';
import { RhythmChart, YearChart } from './YearCharts';

/** A month of the coming year and what comes round in it. */
interface MonthOfYear {
  readonly month: string;
  readonly days: readonly UpcomingDay[];
}

/** The coming twelve months with the days that come round, and how the last twelve went. */
export function YearPage() {
  usePageTitle(texts.year);
  const { isWide } = useWide();
  const first = `${localDay().slice(0, 7)}-01`;
  const last = addDays(addMonths(first, 12), -1);
  const plan = useToday(daysBetween(localDay(), last));
  const days = plan ? [...plan.greetings, ...plan.coming] : [];
  const months = Array.from({ length: 12 }, (_, i): MonthOfYear => {
    const month = addMonths(first, i).slice(0, 7);
    return { month, days: days.filter(({ date }) => date.startsWith(month)) };
  });
  const isKnown = plan !== undefined;
  const isEmpty = isKnown && days.length === 0;
  const sentence = isEmpty
    ? texts.nothingComesRound
    : plan
      ? texts.daysComeRoundUntil(days.length, monthName(last.slice(0, 7), LOCALE))
      : texts.readingBook;
  return (
    <View className="flex-1" testID="year-page">
      {isWide && !isEmpty ? (
        <AtOnce months={months} sentence={sentence} />
      ) : (
        <InFolds months={isKnown ? months : []} isEmpty={isEmpty} sentence={sentence} />
      )}
    </View>
  );
}

interface YearProps {
  readonly months: readonly MonthOfYear[];
  readonly sentence: string;
}

/** On a phone: a month after the other. */
function InFolds({ months, sentence, isEmpty }: YearProps & { readonly isEmpty: boolean }) {
  return (
    <>
      <PageBar backLabel={texts.today} onBack={() => go('/today')} />
      <ScrollView>
        <View className="gap-6 px-5 pb-8 pt-4">
          <Head sentence={sentence} />
          <View>
            {(isEmpty ? [] : months).map((one, i) => (
              <MonthFold key={one.month} {...one} isFirst={i === 0} />
            ))}
          </View>
          {months.length === 0 ? (
            <Coming />
          ) : (
            <>
              <YearChart />
              <RhythmChart />
            </>
          )}
        </View>
      </ScrollView>
    </>
  );
}

/** On a wide screen: the twelve months at once, and the days of the one that is chosen beside them. */
function AtOnce({ months, sentence }: YearProps) {
  const [chosen, setChosen] = useState(0);
  const { month, days } = months[chosen] ?? { month: '', days: [] };
  const year = (
    <ScrollView>
      <View className="gap-4 px-6 pb-8 pt-4">
        <View className="flex-row items-start justify-between gap-4">
          <Head sentence={sentence} />
          <Act label={texts.backToToday} tone="faded" onPress={() => go('/today')} />
        </View>
        <View
          role="group"
          aria-label={texts.twelveMonths}
          className="-mx-2 flex-row flex-wrap gap-x-1 gap-y-1"
        >
          {months.map((one, i) => (
            <MonthGrid
              key={one.month}
              month={one.month}
              dates={new Set(one.days.map(({ date }) => date))}
              count={one.days.length}
              isChosen={i === chosen}
              onPress={() => setChosen(i)}
            />
          ))}
        </View>
        <View className="max-w-[760px] gap-6">
          <YearChart />
          <RhythmChart />
        </View>
      </View>
    </ScrollView>
  );
  return (
    <Panes name="year" width={700} min={440} list={year}>
      <ScrollView testID="month-days">
        <View className="max-w-[720px] px-6 pb-8 pt-5">
          <Txt font="serif" size="title" heading={2}>
            {month === '' ? '' : monthName(month, LOCALE)}
          </Txt>
          {days.length === 0 ? (
            <Txt tone="faded">{texts.nothing}</Txt>
          ) : (
            <MonthDays key={month} days={days} />
          )}
        </View>
      </ScrollView>
    </Panes>
  );
}

function Head({ sentence }: Pick<YearProps, 'sentence'>) {
  return (
    <View className="min-w-0 shrink gap-1">
      <Txt font="serif" size="head" heading={1}>
        {texts.year}
      </Txt>
      <Txt font="serifItalic" size="strong">
        {sentence}
      </Txt>
    </View>
  );
}
