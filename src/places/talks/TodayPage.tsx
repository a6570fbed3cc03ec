import { type ComponentType, Suspense, useState } from 'react';
import { ScrollView, View } from 'react-native';

import { selectOrder, selectRowsByUid, selectSettings, useAppSelector } from '@/book/state';
import { useToday } from '@/book/talks';
import type { Uid } from '@/core/card';
import { emptyPlan, type TodayPlan } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/talks/talks';
import { Act, CalendarDays, Coming, Panes, Txt, usePageTitle, useWide } from '@/ui';

import { OpenRowContext } from './DayRow';
import { type DayActs, DayPart } from './dayRows';
import { DemoHint } from './DemoHint';
import { FirstSteps } from './FirstSteps';
import { sentenceOf } from './sentence';
import { useDayKeys } from './useDayKeys';

/** What the page of the day borrows from the place of the card. */
export interface TodayProps extends DayActs {
  readonly CardPane: ComponentType<{ readonly uid: Uid }>;
  /** What is worth doing once there are people in the book. */
  readonly NextSteps: ComponentType;
}

/** The first place: whom to greet, whom to talk to, who is late, what is coming; on a wide screen with the card beside. */
export function TodayPage({ CardPane, NextSteps, ...acts }: TodayProps) {
  usePageTitle(texts.today);
  const { isWide } = useWide();
  const known = useToday();
  const plan = known ?? emptyPlan;
  const [open, setOpen] = useState<string>();
  const [chosen, setChosen] = useState<Uid>();
  const close = () => setOpen(undefined);
  useDayKeys(isWide ? setChosen : undefined, close);
  const toggle = (id: string, uid: Uid) => {
    setOpen(id === open ? undefined : id);
    setChosen(uid);
  };
  const shown = isWide ? (chosen ?? firstOf(plan)) : undefined;
  const page = (
    <ScrollView testID="today-page">
      <OpenRowContext value={{ open, chosen: shown, toggle }}>
        <Day plan={plan} isKnown={known !== undefined} acts={acts} NextSteps={NextSteps} />
      </OpenRowContext>
    </ScrollView>
  );
  if (!isWide) return page;
  return (
    <Panes name="today" width={420} min={360} list={page}>
      <Suspense fallback={null}>{shown === undefined ? null : <CardPane uid={shown} />}</Suspense>
    </Panes>
  );
}

/** Whom the day begins with. */
function firstOf({ greetings, meetings, followUps, late, due, quiet }: TodayPlan): Uid | undefined {
  return [
    ...greetings.map(({ uid }) => uid),
    ...meetings.flatMap(({ uids }) => uids),
    ...[...followUps, ...late, ...due, ...quiet].map(({ uid }) => uid),
  ][0];
}

interface DayProps extends Pick<TodayProps, 'NextSteps'> {
  readonly plan: TodayPlan;
  readonly isKnown: boolean;
  readonly acts: DayActs;
}

function Day({ plan, isKnown, acts, NextSteps }: DayProps) {
  const { todayParts, almanacDays } = useAppSelector(selectSettings);
  const rows = useAppSelector(selectRowsByUid);
  const isEmpty = useAppSelector(selectOrder).length === 0;
  const day = new Date(`${localDay()}T12:00:00`).toLocaleDateString(LOCALE, {
    ...{ weekday: 'long', day: 'numeric', month: 'long' },
  });
  return (
    <View className="pb-3 pt-1">
      <View className="px-5 wide:px-6">
        <View className="flex-row items-center justify-between gap-4">
          <Txt size="small" tone="faded" heading={1}>
            {texts.todayIs(day)}
          </Txt>
          <Act
            label={texts.year}
            icon={CalendarDays}
            tone="faded"
            onPress={() => go('/today/year')}
            testID="to-year"
          />
        </View>
        <Txt font="serifItalic" size="title" testID="today-sentence">
          {!isKnown
            ? texts.readingBook
            : isEmpty
              ? texts.anEmptyBook
              : sentenceOf(plan, (uid) => rows.get(uid)?.shown)}
        </Txt>
      </View>
      {/* The sentence may take another line than the one that stands for it, and would move what is below. */}
      {!isKnown ? (
        <View className="px-5 pt-2 wide:px-6">
          <Coming />
        </View>
      ) : isEmpty ? (
        <FirstSteps />
      ) : (
        <>
          <DemoHint />
          {todayParts.map((part) => (
            <DayPart key={part} part={part} plan={plan} days={almanacDays} acts={acts} />
          ))}
          <View className="px-5 wide:px-6">
            <NextSteps />
          </View>
        </>
      )}
    </View>
  );
}
