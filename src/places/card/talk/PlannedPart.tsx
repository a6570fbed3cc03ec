import { useState } from 'react';
import { View } from 'react-native';

import { selectCardsByUid, useAppSelector } from '@/book/state';
import { type Card, shownAs } from '@/core/card';
import type { PlannedMeeting } from '@/core/talks';
import { formatDay } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, AlarmClock, CalendarPlus, Txt } from '@/ui';

import { FollowUpSheet } from './FollowUpSheet';
import { MeetingSheet } from './MeetingSheet';
import { FollowUpActs, MeetingActs } from './PlannedActs';

/** What is to come with somebody: appointments and things to be reminded of. */
export function PlannedPart({ card }: { readonly card: Card }) {
  const meetings = useMeetingsOf(card);
  const followUps = Object.entries(card['cordialis.example:followUps'] ?? {}).sort(([, a], [, b]) =>
    a.day < b.day ? -1 : Number(a.day > b.day),
  );
  if (meetings.length + followUps.length === 0) return null;
  return (
    <View className="pt-4" testID="planned">
      <Txt size="small" font="sansBold" heading={2}>
        {texts.comingUp}
      </Txt>
      {meetings.map((planned) => (
        <View key={planned.id} className="border-b border-rule pt-2" testID="planned-meeting">
          <Line title={planned.meeting.title} second={meetingWords(planned)} />
          <Others uids={planned.uids.filter((uid) => uid !== card.uid)} />
          <MeetingActs planned={planned} />
        </View>
      ))}
      {followUps.map(([id, { day, text }]) => (
        <View key={id} className="border-b border-rule pt-2" testID="planned-follow-up">
          <Line title={text} second={formatDay(`${day}T12:00:00Z`)} />
          <FollowUpActs planned={{ uid: card.uid, id, day, text }} />
        </View>
      ))}
    </View>
  );
}

/** Being reminded of somebody, and meeting them. */
export function PlanActs({ card }: { readonly card: Card }) {
  const [open, setOpen] = useState<'remind' | 'meet'>();
  return (
    <>
      <Act
        label={texts.remindMe}
        icon={AlarmClock}
        iconOnly
        onPress={() => setOpen('remind')}
        testID="remind"
      />
      <Act
        label={texts.arrangeToMeet}
        icon={CalendarPlus}
        iconOnly
        onPress={() => setOpen('meet')}
        testID="meet"
      />
      {open === 'remind' ? <FollowUpSheet card={card} onClose={() => setOpen(undefined)} /> : null}
      {open === 'meet' ? <MeetingSheet card={card} onClose={() => setOpen(undefined)} /> : null}
    </>
  );
}

function Line({ title, second }: { readonly title: string; readonly second: string }) {
  return (
    <>
      <Txt>{title}</Txt>
      <Txt size="small" tone="faded" isFigures>
        {second}
      </Txt>
    </>
  );
}

function Others({ uids }: { readonly uids: readonly string[] }) {
  const byUid = useAppSelector(selectCardsByUid);
  const names = uids.flatMap((uid) => byUid.get(uid) ?? []).map(shownAs);
  if (names.length === 0) return null;
  return (
    <Txt size="small" tone="faded">
      {texts.withPeople(names.join(', '))}
    </Txt>
  );
}

function meetingWords({ meeting }: PlannedMeeting): string {
  const { day, time, minutes, place } = meeting;
  const length = time === undefined ? '' : texts.minuteCount(minutes);
  return [formatDay(`${day}T12:00:00Z`), time, length, place].filter(Boolean).join(' · ');
}

/** The appointments on a card, each with all who come: they stand on the cards of the others as well. */
function useMeetingsOf(card: Card): PlannedMeeting[] {
  const byUid = useAppSelector(selectCardsByUid);
  const own = Object.entries(card['cordialis.example:meetings'] ?? {});
  if (own.length === 0) return [];
  const all = byUid.values();
  return own
    .map(([id, meeting]) => ({
      id,
      meeting,
      uids: [
        card.uid,
        ...all.flatMap((one) =>
          one.uid !== card.uid && one['cordialis.example:meetings']?.[id] ? one.uid : [],
        ),
      ],
    }))
    .sort((a, b) => (a.meeting.day < b.meeting.day ? -1 : Number(a.meeting.day > b.meeting.day)));
}
