import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch, useCard } from '@/book/state';
import { addDays } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import { type PlannedFollowUp, type PlannedMeeting, withFollowUp } from '@/core/talks';
import { localDay } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, Check, NotebookPen, Pencil } from '@/ui';

import { FollowUpSheet } from './FollowUpSheet';
import { MeetingSheet } from './MeetingSheet';
import { TalkSheet } from './TalkSheet';

/** Acts for a reminder in a list. */
export function FollowUpActs({ planned }: { readonly planned: PlannedFollowUp }) {
  const card = useCard(planned.uid);
  return card ? <ActsOnFollowUp card={card} planned={planned} /> : null;
}

function ActsOnFollowUp({ card, planned }: { readonly card: Card; readonly planned: PlannedFollowUp }) {
  const dispatch = useAppDispatch();
  const [open, setOpen] = useState<'note' | 'change'>();
  const { id, text } = planned;
  const put = (label: string, day: string | undefined) =>
    void dispatch(
      changeMany({
        cards: [card],
        label: `${label}: ${text}`,
        change: (one) => withFollowUp(one, id, day === undefined ? undefined : { day, text }),
      }),
    );
  return (
    <View className="flex-row flex-wrap gap-x-4">
      <Act
        label={texts.done}
        name={texts.doneNamed(text)}
        icon={Check}
        tone="ink"
        onPress={() => put(texts.done, undefined)}
        testID="follow-up-done"
      />
      <Act
        label={texts.note}
        name={shared.noteTalkWith(shownAs(card))}
        icon={NotebookPen}
        tone="ink"
        onPress={() => setOpen('note')}
      />
      <Act
        label={texts.change}
        name={texts.changeNamed(text)}
        icon={Pencil}
        tone="faded"
        onPress={() => setOpen('change')}
      />
      <View className="w-full flex-row flex-wrap gap-x-4">
        <Act
          label={texts.tomorrow}
          name={texts.postponeUntilTomorrow(text)}
          tone="faded"
          onPress={() => put(texts.postponedByDay, addDays(localDay(), 1))}
        />
        <Act
          label={texts.inWeek}
          name={texts.postponeByWeek(text)}
          tone="faded"
          onPress={() => put(texts.postponedByWeek, addDays(localDay(), 7))}
        />
      </View>
      {open === 'note' ? <TalkSheet uid={card.uid} onClose={() => setOpen(undefined)} /> : null}
      {open === 'change' ? (
        <FollowUpSheet card={card} planned={planned} onClose={() => setOpen(undefined)} />
      ) : null}
    </View>
  );
}

/** What can be done about an appointment: note what was said, once it is the day; change it. */
export function MeetingActs({ planned }: { readonly planned: PlannedMeeting }) {
  const card = useCard(planned.uids[0] ?? '');
  const [open, setOpen] = useState<'note' | 'change'>();
  if (!card) return null;
  const { meeting } = planned;
  return (
    <View className="flex-row flex-wrap gap-x-4">
      {meeting.day > localDay() ? null : (
        <Act
          label={texts.noteWhatWasSaid}
          name={texts.noteWhatWasSaidNamed(meeting.title)}
          icon={NotebookPen}
          tone="ink"
          onPress={() => setOpen('note')}
          testID="meeting-note"
        />
      )}
      <Act
        label={texts.change}
        name={texts.changeMeeting(meeting.title)}
        icon={Pencil}
        tone="faded"
        onPress={() => setOpen('change')}
      />
      {open === 'note' ? (
        <TalkSheet uid={card.uid} meeting={planned} onClose={() => setOpen(undefined)} />
      ) : null}
      {open === 'change' ? (
        <MeetingSheet card={card} planned={planned} onClose={() => setOpen(undefined)} />
      ) : null}
    </View>
  );
}
