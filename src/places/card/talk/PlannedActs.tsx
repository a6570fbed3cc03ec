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
  const [open, setOpen] = useState<'note' | 'change'>();
  const { text } = planned;
  const put = useFollowUpChange(card, planned);
  return (
    <View className="flex-row flex-wrap gap-x-4">
      <Act
        label={texts.done}
        name={texts.doneNamed(text)}
        icon={Check}
        tone="ink"
        onPress={() => put(texts.done, undefined)}
        testID="follow-up-done-word"
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
      {open === 'note' ? <TalkSheet uid={card.uid} onClose={() => setOpen(undefined)} /> : null}
      {open === 'change' ? (
        <FollowUpSheet card={card} planned={planned} onClose={() => setOpen(undefined)} />
      ) : null}
    </View>
  );
}

/** Moves a reminder to another day, or takes it off. */
function useFollowUpChange(card: Card | null | undefined, { id, text }: PlannedFollowUp) {
  const dispatch = useAppDispatch();
  return (label: string, day: string | undefined) => {
    if (!card) return;
    void dispatch(
      changeMany({
        cards: [card],
        label: `${label}: ${text}`,
        change: (one) => withFollowUp(one, id, day === undefined ? undefined : { day, text }),
      }),
    );
  };
}

/** The likeliest for a reminder: it has been done. */
export function FollowUpLikely({ planned }: { readonly planned: PlannedFollowUp }) {
  const card = useCard(planned.uid);
  const put = useFollowUpChange(card, planned);
  return (
    <Act
      label={texts.doneNamed(planned.text)}
      icon={Check}
      iconOnly
      onPress={() => put(texts.done, undefined)}
      testID="follow-up-done"
    />
  );
}

/** The likeliest for an appointment: to note what was said, or to change it while it is still to come. */
export function MeetingLikely({ planned }: { readonly planned: PlannedMeeting }) {
  const card = useCard(planned.uids[0] ?? '');
  const [isOpen, setOpen] = useState(false);
  if (!card) return null;
  const { title, day } = planned.meeting;
  const isToCome = day > localDay();
  return (
    <>
      <Act
        label={isToCome ? texts.changeMeeting(title) : texts.noteWhatWasSaidNamed(title)}
        icon={isToCome ? Pencil : NotebookPen}
        iconOnly
        onPress={() => setOpen(true)}
        testID="meeting-likely"
      />
      {isOpen && !isToCome ? (
        <TalkSheet uid={card.uid} meeting={planned} onClose={() => setOpen(false)} />
      ) : null}
      {isOpen && isToCome ? (
        <MeetingSheet card={card} planned={planned} onClose={() => setOpen(false)} />
      ) : null}
    </>
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
