import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { useServices } from '@/book/state';
import { findWhen, parseWhen } from '@/core/base';
import type { Card } from '@/core/card';
import { DIRECTIONS, type PlannedMeeting, type Talk, TALK_KINDS, type TalkKind } from '@/core/talks';
import { localDay, LOCALE } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, AlarmClock, Field, NextAct, Tabs, Trash, Txt } from '@/ui';

import { DIRECTION_WORDS, KIND_WORDS } from '../parts/talkWords';
import { type Draft, draftOf, forgetDraft, keepDraft, storedDraft } from './drafts';
import { FilesField } from './FilesField';
import { PeopleField } from './PeopleField';
import { useTalkChanges } from './useTalkChanges';
import { WhenField } from './WhenField';

interface TalkFormProps {
  readonly card: Card;
  /** What was begun from the card; a call where nothing is said. */
  readonly kind?: TalkKind | undefined;
  /** The talk that is changed; undefined for a new one. */
  readonly talk?: Talk | undefined;
  /** The appointment that has been kept; it goes once the talk is saved. */
  readonly meeting?: PlannedMeeting | undefined;
  /** Whether the kind, the day, the people and the files come only when they are asked for. */
  readonly isShort?: boolean;
  readonly onDone: () => void;
}

/** After a talk: what was said, when next, what to begin the next one with. Everything may stay empty. */
export function TalkForm({ card, kind = 'call', talk, meeting, isShort = false, onDone }: TalkFormProps) {
  const services = useServices();
  const today = localDay();
  const isKept = !talk && !meeting;
  const [isWhole, setWhole] = useState(!isShort);
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
  const day = dayOf(draft.day, today);
  const next = draft.next.trim() === '' ? undefined : parseWhen(draft.next, today, LOCALE);
  const isWrong = day === undefined || (draft.next.trim() !== '' && next === undefined);
  const { save, remove } = useTalkChanges({ card, talk, meeting });
  const saveAll = async () => {
    if (day === undefined) return;
    await save({ ...draft, day }, next);
    if (isKept) forgetDraft(services, card.uid);
    onDone();
  };
  const said = draft.next.trim() === '' && !talk ? findWhen(draft.said, today) : undefined;
  return (
    <View className="gap-3">
      <Field
        label={shared.whatWasSaid}
        value={draft.said}
        onChange={(text) => set({ said: text })}
        isLong
        isFirst
        hint={talk || isShort ? undefined : texts.wordsCanBeSearched}
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
      {isWhole ? (
        <TalkDetails draft={draft} day={day} onChange={set} />
      ) : (
        <View className="flex-row">
          <Act label={texts.moreOfTalk} tone="faded" onPress={() => setWhole(true)} testID="more-of-talk" />
        </View>
      )}
      {talk ? (
        <View className="flex-row">
          <Act
            label={texts.deleteThisTalk}
            icon={Trash}
            tone="brick"
            onPress={() => void remove().then(onDone)}
            testID="delete-talk"
          />
        </View>
      ) : (
        <Txt size="small" tone="faded">
          {texts.yourTextIsKept}
        </Txt>
      )}
    </View>
  );
}

interface TalkDetailsProps {
  readonly draft: Draft;
  /** ISO 8601; undefined where what is typed is no day that has been. */
  readonly day: string | undefined;
  readonly onChange: (some: Partial<Draft>) => void;
}

/** What kind of talk it was, when, with whom else, with which files. */
function TalkDetails({ draft, day, onChange }: TalkDetailsProps) {
  return (
    <>
      <Tabs
        name={texts.kindOfTalk}
        options={TALK_KINDS.map((one) => [one, KIND_WORDS[one]] as const)}
        value={draft.kind}
        onChange={(kind) => onChange({ kind })}
      />
      <Tabs
        name={texts.whoBeganIt}
        options={DIRECTIONS.map((one) => [one, DIRECTION_WORDS[one]] as const)}
        value={draft.direction}
        onChange={(direction) => onChange({ direction })}
      />
      <Field
        label={texts.day}
        value={draft.day}
        onChange={(text) => onChange({ day: text })}
        hint={day === localDay() ? texts.today : undefined}
        error={day === undefined ? texts.writeDayAs2026 : undefined}
        testID="talk-day"
      />
      <Field
        label={texts.about}
        value={draft.about}
        onChange={(about) => onChange({ about })}
        testID="talk-about"
      />
      <PeopleField label={texts.withOthers} uids={draft.with} onChange={(uids) => onChange({ with: uids })} />
      <FilesField files={draft.files} onChange={(files) => onChange({ files })} />
    </>
  );
}

/** A day that has been: nothing that is yet to come was said. */
function dayOf(text: string, today: string): string | undefined {
  const isDay = /^\d{4}-\d\d-\d\d$/.test(text.trim()) && !Number.isNaN(Date.parse(text.trim()));
  return isDay && text.trim() <= today ? text.trim() : undefined;
}
