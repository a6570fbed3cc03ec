import { Children, type ComponentType, Suspense, useState } from 'react';
import { ScrollView, View } from 'react-native';

import { selectPinnedRows, selectSettings, type TodayPart, useAppSelector } from '@/book/state';
import { useToday } from '@/book/talks';
import { daysBetween } from '@/core/base';
import type { Uid } from '@/core/card';
import {
  type DueCard,
  emptyPlan,
  formatAgo,
  type Occasion,
  type PlannedFollowUp,
  type PlannedMeeting,
  type TodayPlan,
} from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts } from '@/texts/talks/talks';
import { Act, Txt, usePageTitle, useWide } from '@/ui';

import { AlmanacStrip } from './AlmanacStrip';
import { greetingWhy } from './dayWords';
import { NewsPart } from './NewsPart';
import { PlannedRow } from './PlannedRow';
import { sentenceOf } from './sentence';
import { TodayRow } from './TodayRow';

/** The most people named in a part before the rest is folded away. */
const SHOWN = 6;

/** What can be done for a person, about a reminder and about an appointment; they are another place's. */
export interface TodayActs {
  readonly PersonActs: ComponentType<{
    readonly uid: Uid;
    readonly occasion: Occasion;
    readonly kind?: string;
  }>;
  readonly FollowUpActs: ComponentType<{ readonly planned: PlannedFollowUp }>;
  readonly MeetingActs: ComponentType<{ readonly planned: PlannedMeeting }>;
}

/** The first place: whom to greet, whom to talk to, who is late, what is coming. */
export function TodayPage(acts: TodayActs) {
  usePageTitle(texts.today);
  const { isWide } = useWide();
  const known = useToday();
  const plan = known ?? emptyPlan;
  const { todayParts, almanacDays } = useAppSelector(selectSettings);
  const day = new Date(`${localDay()}T12:00:00`).toLocaleDateString(LOCALE, {
    ...{ weekday: 'long', day: 'numeric', month: 'long' },
  });
  return (
    <ScrollView testID="today-page">
      <View className={`max-w-[760px] gap-5 pb-8 pt-4 ${isWide ? 'px-6' : 'px-5'}`}>
        <View className="gap-1">
          <Txt size="small" tone="faded">
            {day}
          </Txt>
          <Txt font="serif" size="head" heading={1}>
            {texts.today}
          </Txt>
          <Txt font="serifItalic" size="strong" testID="today-sentence">
            {known ? sentenceOf(known) : texts.readingBook}
          </Txt>
        </View>
        <Suspense fallback={null}>
          {todayParts.map((part) => (
            <TodayPartOf key={part} part={part} plan={plan} days={almanacDays} acts={acts} />
          ))}
        </Suspense>
      </View>
    </ScrollView>
  );
}

interface PartProps {
  readonly plan: TodayPlan;
  readonly acts: TodayActs;
}

function TodayPartOf({
  part,
  days,
  ...props
}: PartProps & { readonly part: TodayPart; readonly days: number }) {
  const { plan, acts } = props;
  switch (part) {
    case 'almanac':
      return <AlmanacStrip plan={plan} days={days} />;
    case 'greetings':
      return <Greetings {...props} />;
    case 'meetings':
      return <Meetings {...props} />;
    case 'followUps':
      return <FollowUps {...props} />;
    case 'late':
      return <Dues title={texts.late} dues={plan.late} acts={acts} />;
    case 'due':
      return <Dues title={texts.dueTodayTitle} dues={plan.due} acts={acts} />;
    case 'news':
      return <NewsPart />;
    case 'quiet':
      return <QuietOnes {...props} />;
    case 'pinned':
      return <Pinned />;
  }
}

function Greetings({ plan, acts: { PersonActs } }: PartProps) {
  return (
    <>
      <Part title={texts.greetings} count={plan.greetings.length}>
        {plan.greetings.map(({ uid, kind, years }) => (
          <TodayRow
            key={`${uid} ${kind}`}
            uid={uid}
            why={greetingWhy(kind, years)}
            acts={<PersonActs uid={uid} occasion={occasionOf(kind)} kind={kind} />}
          />
        ))}
      </Part>
      <Part title={texts.remembered} count={plan.remembered.length}>
        {plan.remembered.map(({ uid, years }) => (
          <TodayRow
            key={uid}
            uid={uid}
            why={years === null || years === 0 ? texts.diedOnThisDay : texts.diedYearsAgo(years)}
            acts={null}
          />
        ))}
      </Part>
    </>
  );
}

function occasionOf(kind: string): Occasion {
  return kind === 'birth' || kind === 'wedding' ? kind : 'other';
}

function Meetings({ plan, acts: { MeetingActs } }: PartProps) {
  return (
    <Part title={texts.meetings} count={plan.meetings.length}>
      {plan.meetings.map((planned) => (
        <PlannedRow
          key={planned.id}
          uids={planned.uids}
          title={planned.meeting.title}
          second={[agoOf(planned.meeting.day), planned.meeting.time, planned.meeting.place]
            .filter(Boolean)
            .join(' · ')}
          acts={<MeetingActs planned={planned} />}
        />
      ))}
    </Part>
  );
}

function FollowUps({ plan, acts: { FollowUpActs } }: PartProps) {
  return (
    <Part title={texts.followUps} count={plan.followUps.length}>
      {plan.followUps.map((planned) => (
        <PlannedRow
          key={`${planned.uid} ${planned.id}`}
          uids={[planned.uid]}
          title={planned.text}
          second={agoOf(planned.day)}
          acts={<FollowUpActs planned={planned} />}
        />
      ))}
    </Part>
  );
}

/** "today", "yesterday", "3 days ago". */
function agoOf(day: string): string {
  return formatAgo(daysBetween(day, localDay()));
}

function Dues({
  title,
  dues,
  acts: { PersonActs },
}: Pick<PartProps, 'acts'> & { readonly title: string; readonly dues: readonly DueCard[] }) {
  return (
    <Part title={title} count={dues.length}>
      {dues.map((due) => (
        <TodayRow key={due.uid} uid={due.uid} due={due} acts={<PersonActs uid={due.uid} occasion="due" />} />
      ))}
    </Part>
  );
}

function QuietOnes({ plan: { quiet }, acts: { PersonActs } }: PartProps) {
  return (
    <Part title={texts.goneQuiet} count={quiet.length}>
      {quiet.map(({ uid, days, usual }) => (
        <TodayRow
          key={uid}
          uid={uid}
          why={texts.nothingForDaysUsually(days, usual)}
          acts={<PersonActs uid={uid} occasion="quiet" />}
        />
      ))}
    </Part>
  );
}

/** Pinned people, as at the head of the Book. */
function Pinned() {
  const rows = useAppSelector(selectPinnedRows);
  return (
    <Part title={texts.pinned} count={rows.length}>
      {rows.map(({ uid }) => (
        <TodayRow key={uid} uid={uid} why="" acts={null} />
      ))}
    </Part>
  );
}

function Part({
  title,
  count,
  children,
}: {
  readonly title: string;
  readonly count: number;
  readonly children: React.ReactNode;
}) {
  const [isAll, setAll] = useState(false);
  const rows = Children.toArray(children);
  if (count === 0) return null;
  const rest = rows.length - SHOWN;
  return (
    <View testID={`part-${title}`}>
      <Txt font="serif" size="title" heading={2}>
        {title}
      </Txt>
      {isAll ? rows : rows.slice(0, SHOWN)}
      {isAll || rest <= 0 ? null : (
        <View className="flex-row">
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
