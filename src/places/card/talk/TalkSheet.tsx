import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { useCard, useServices } from '@/book/state';
import { findWhen, parseWhen } from '@/core/base';
import { type Card, shownAs, type Uid } from '@/core/card';
import { DIRECTIONS, type PlannedMeeting, type Talk, TALK_KINDS, type TalkKind } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, AlarmClock, Field, NextAct, Sheet, Tabs, Trash, Txt } from '@/ui';

import { DIRECTION_WORDS, KIND_WORDS } from '../parts/talkWords';
import { type Draft, draftOf, forgetDraft, keepDraft, storedDraft } from './drafts';
import { FilesField } from './FilesField';
import { PeopleField } from './PeopleField';
import { useTalkChanges } from './useTalkChanges';
import { WhenField } from './WhenField';

interface TalkSheetProps {
  readonly uid: Uid;
  /** What was begun from the card; a call where nothing is said. */
  readonly kind?: TalkKind;
  /** The talk that is changed; undefined for a new one. */
  readonly talk?: Talk;
  /** The appointment that has been kept; it goes once the talk is saved. */
  readonly meeting?: PlannedMeeting;
  readonly onClose: () => void;
}

/** After a talk: what was said, when next, what to begin the next one with. Everything may stay empty. */
export function TalkSheet(props: TalkSheetProps) {
  const card = useCard(props.uid);
  return card ? <OpenSheet {...props} card={card} /> : null;
}

function OpenSheet(props: TalkSheetProps & { readonly card: Card }) {
  const { card, kind = 'call', talk, meeting, onClose } = props;
  const services = useServices();
  const today = localDay();
  const isKept = !talk && !meeting;
  const [draft, setDraft] = useState<Draft>(() => draftOf(card, { talk, meeting, kind, today }));
  const set = (some: Partial<Draft>) => {
    const next = { ...draft, ...some };
    setDraft(next);
    // A sheet that is closed, or a page that is left, keeps what was typed.
    if (isKept) keepDraft(services, card.uid, next);
  };
  useEffect(() => {
    // What was typed before the page was loaded takes the place of an untouched sheet.
    if (isKept)
      void storedDraft(services, card.uid).then((stored) => {
        if (stored)
          setDraft((now) => (now.said === '' && now.next === '' ? { ...stored, day: now.day } : now));
      });
  }, [card.uid, isKept, services]);
  const name = shownAs(card) || texts.them;
  const day = dayOf(draft.day, today);
  const next = draft.next.trim() === '' ? undefined : parseWhen(draft.next, today, LOCALE);
  const isWrong = day === undefined || (draft.next.trim() !== '' && next === undefined);
  const { save, remove } = useTalkChanges({ card, talk, meeting });
  const saveAll = async () => {
    if (day === undefined) return;
    await save({ ...draft, day }, next);
    if (isKept) forgetDraft(services, card.uid);
    onClose();
  };
  const said = draft.next.trim() === '' && !talk ? findWhen(draft.said, today) : undefined;
  return (
    <Sheet title={talk ? texts.talkWith(name) : texts.afterTalkingTo(name)} isOpen onClose={onClose}>
      <View className="gap-3">
        <Field
          label={shared.whatWasSaid}
          value={draft.said}
          onChange={(text) => set({ said: text })}
          isLong
          isFirst
          hint={talk ? undefined : texts.wordsCanBeSearched}
          testID="talk-said"
        />
        {said ? (
          <View className="flex-row">
            <Act
              label={texts.whenNextNamed(said.words)}
              icon={AlarmClock}
              onPress={() => set({ next: said.words })}
              testID="said-when"
            />
          </View>
        ) : null}
        {talk ? null : (
          <>
            <WhenField
              label={texts.whenNext}
              value={draft.next}
              onChange={(text) => set({ next: text })}
              day={next}
              testID="talk-next"
            />
            <Field
              label={texts.openNextTalkWith}
              value={draft.opener}
              onChange={(text) => set({ opener: text })}
              testID="talk-opener"
            />
          </>
        )}
        <NextAct label={texts.save} isDisabled={isWrong} onPress={() => void saveAll()} testID="save-talk" />
        <Tabs
          name={texts.kindOfTalk}
          options={TALK_KINDS.map((one) => [one, KIND_WORDS[one]] as const)}
          value={draft.kind}
          onChange={(one) => set({ kind: one })}
        />
        <Tabs
          name={texts.whoBeganIt}
          options={DIRECTIONS.map((one) => [one, DIRECTION_WORDS[one]] as const)}
          value={draft.direction}
          onChange={(one) => set({ direction: one })}
        />
        <Field
          label={texts.day}
          value={draft.day}
          onChange={(text) => set({ day: text })}
          hint={day === today ? texts.today : undefined}
          error={day === undefined ? texts.writeDayAs2026 : undefined}
          testID="talk-day"
        />
        <Field
          label={texts.about}
          value={draft.about}
          onChange={(text) => set({ about: text })}
          testID="talk-about"
        />
        <PeopleField label={texts.withOthers} uids={draft.with} onChange={(uids) => set({ with: uids })} />
        <FilesField files={draft.files} onChange={(files) => set({ files })} />
        {talk ? (
          <View className="flex-row">
            <Act
              label={texts.deleteThisTalk}
              icon={Trash}
              tone="brick"
              onPress={() => void remove().then(onClose)}
              testID="delete-talk"
            />
          </View>
        ) : (
          <Txt size="small" tone="faded">
            {texts.yourTextIsKept}
          </Txt>
        )}
      </View>
    </Sheet>
  );
}

/** A day that has been: nothing that is yet to come was said. */
function dayOf(text: string, today: string): string | undefined {
  const isDay = /^\d{4}-\d\d-\d\d$/.test(text.trim()) && !Number.isNaN(Date.parse(text.trim()));
  return isDay && text.trim() <= today ? text.trim() : undefined;
}
