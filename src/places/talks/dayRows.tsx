import type { ComponentType } from 'react';
import { View } from 'react-native';

import { selectPinnedRows, selectSummaries, type TodayPart, useAppSelector } from '@/book/state';
import { daysBetween } from '@/core/base';
import type { Uid } from '@/core/card';
import {
  type DueCard,
  formatAgo,
  greetingKey,
  type Occasion,
  type PlannedFollowUp,
  type PlannedMeeting,
  standingOf,
  type TodayPlan,
} from '@/core/talks';
import { localDay } from '@/platform';
import { texts } from '@/texts/talks/talks';

import { AlmanacStrip } from './AlmanacStrip';
import { DayRow } from './DayRow';
import { greetingWhy } from './dayWords';
import { NewsPart } from './NewsPart';
import { Part } from './Part';

interface OfPerson {
  readonly uid: Uid;
  readonly occasion: Occasion | 'pinned';
  readonly kind?: string;
}

/** What can be done for a person, about a reminder and about an appointment; they are another place's. */
export interface DayActs {
  readonly LikelyAct: ComponentType<OfPerson>;
  readonly PersonOpened: ComponentType<OfPerson>;
  readonly FollowUpLikely: ComponentType<{ readonly planned: PlannedFollowUp }>;
  readonly FollowUpActs: ComponentType<{ readonly planned: PlannedFollowUp }>;
  readonly MeetingLikely: ComponentType<{ readonly planned: PlannedMeeting }>;
  readonly MeetingActs: ComponentType<{ readonly planned: PlannedMeeting }>;
}

interface PartProps {
  readonly plan: TodayPlan;
  readonly acts: DayActs;
}

/** The rows of one part of the day, under a small heading; nothing where it has none. */
export function DayPart({
  part,
  days,
  ...props
}: PartProps & { readonly part: TodayPart; readonly days: number }) {
  const { plan, acts } = props;
  switch (part) {
    case 'greetings':
      return <Greetings {...props} />;
    case 'meetings':
      return <Meetings {...props} />;
    case 'followUps':
      return <FollowUps {...props} />;
    case 'late':
      return <Dues title={texts.late} part={part} dues={plan.late} acts={acts} />;
    case 'due':
      return <Dues title={texts.dueTodayTitle} part={part} dues={plan.due} acts={acts} />;
    case 'news':
      return <NewsPart />;
    case 'quiet':
      return <QuietOnes {...props} />;
    case 'pinned':
      return <Pinned acts={acts} />;
    case 'almanac':
      return (
        <View className="px-5 wide:px-6">
          <AlmanacStrip plan={plan} days={days} />
        </View>
      );
  }
}

function Greetings({ plan, acts }: PartProps) {
  return (
    <>
      <Part title={texts.greetings} count={plan.greetings.length}>
        {plan.greetings.map(({ uid, kind, id, years }) => (
          <PersonRow
            key={`${uid} ${id}`}
            of={{ uid, occasion: occasionOf(kind), kind: greetingKey({ kind, id }) }}
            part="greetings"
            why={greetingWhy(kind, years)}
            acts={acts}
          />
        ))}
      </Part>
      <Part title={texts.remembered} count={plan.remembered.length}>
        {plan.remembered.map(({ uid, years }) => (
          <DayRow
            key={uid}
            id={`remembered ${uid}`}
            uids={[uid]}
            second={years === null || years === 0 ? texts.diedOnThisDay : texts.diedYearsAgo(years)}
          />
        ))}
      </Part>
    </>
  );
}

function occasionOf(kind: string): Occasion {
  return kind === 'birth' || kind === 'wedding' ? kind : 'other';
}

function Meetings({ plan, acts: { MeetingActs, MeetingLikely } }: PartProps) {
  return (
    <Part title={texts.meetings} count={plan.meetings.length}>
      {plan.meetings.map((planned) => (
        <DayRow
          key={planned.id}
          id={`meeting ${planned.id}`}
          uids={planned.uids}
          title={planned.meeting.title}
          second={[agoOf(planned.meeting.day), planned.meeting.time, planned.meeting.place]
            .filter(Boolean)
            .join(' · ')}
          likely={<MeetingLikely planned={planned} />}
        >
          <MeetingActs planned={planned} />
        </DayRow>
      ))}
    </Part>
  );
}

function FollowUps({ plan, acts: { FollowUpActs, FollowUpLikely } }: PartProps) {
  return (
    <Part title={texts.followUps} count={plan.followUps.length}>
      {plan.followUps.map((planned) => (
        <DayRow
          key={`${planned.uid} ${planned.id}`}
          id={`follow-up ${planned.uid} ${planned.id}`}
          uids={[planned.uid]}
          title={planned.text}
          second={agoOf(planned.day)}
          likely={<FollowUpLikely planned={planned} />}
        >
          <FollowUpActs planned={planned} />
        </DayRow>
      ))}
    </Part>
  );
}

/** "today", "yesterday", "3 days ago". */
function agoOf(day: string): string {
  return formatAgo(daysBetween(day, localDay()));
}

interface DuesProps extends Pick<PartProps, 'acts'> {
  readonly title: string;
  readonly part: TodayPart;
  readonly dues: readonly DueCard[];
}

function Dues({ title, part, dues, acts }: DuesProps) {
  return (
    <Part title={title} count={dues.length}>
      {dues.map((due) => (
        <PersonRow
          key={due.uid}
          of={{ uid: due.uid, occasion: 'due' }}
          part={part}
          why=""
          due={due}
          acts={acts}
        />
      ))}
    </Part>
  );
}

function QuietOnes({ plan: { quiet }, acts }: PartProps) {
  return (
    <Part title={texts.goneQuiet} count={quiet.length}>
      {quiet.map(({ uid, days, usual }) => (
        <PersonRow
          key={uid}
          of={{ uid, occasion: 'quiet' }}
          part="quiet"
          why={texts.nothingForDaysUsually(days, usual)}
          hasNoAgo
          acts={acts}
        />
      ))}
    </Part>
  );
}

/** Pinned people, as at the head of the Book. */
function Pinned({ acts }: Pick<PartProps, 'acts'>) {
  const rows = useAppSelector(selectPinnedRows);
  return (
    <Part title={texts.pinned} count={rows.length}>
      {rows.map(({ uid, second }) => (
        <PersonRow key={uid} of={{ uid, occasion: 'pinned' }} part="pinned" why={second} acts={acts} />
      ))}
    </Part>
  );
}

interface PersonRowProps extends Pick<PartProps, 'acts'> {
  readonly of: OfPerson;
  readonly part: TodayPart;
  /** Why they are listed; derived from `due` where that is given. */
  readonly why: string;
  readonly due?: DueCard;
  /** Whether `why` says when the last talk was. */
  readonly hasNoAgo?: boolean;
}

function PersonRow({ of, part, why, due, hasNoAgo = false, acts }: PersonRowProps) {
  const { LikelyAct, PersonOpened } = acts;
  const last = useAppSelector((state) => selectSummaries(state).get(of.uid))?.last;
  const today = localDay();
  const standing = due && standingOf(due, last, today);
  const ago = last === undefined || hasNoAgo ? '' : texts.lastTalk(formatAgo(daysBetween(last, today)));
  return (
    <DayRow
      id={`${part} ${of.uid} ${of.kind ?? ''}`}
      uids={[of.uid]}
      second={[why, standing?.label, ago].filter(Boolean).join(' · ')}
      standing={standing}
      likely={<LikelyAct {...of} />}
    >
      <PersonOpened {...of} />
    </DayRow>
  );
}
