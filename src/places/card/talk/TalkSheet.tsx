import { useState } from 'react';
import { View } from 'react-native';

import { changeBook, useAppDispatch, useCard, useServices } from '@/book';
import { type Card, shownAs, type Uid } from '@/core/card';
import { DIRECTIONS, type Talk, TALK_KINDS, type TalkKind } from '@/core/talks';
import { parseWhen } from '@/core/when';
import { localDay, LOCALE, localTime } from '@/platform';
import { Act, Field, NextAct, Sheet, Tabs, Trash, Txt } from '@/ui';

import { type Draft, draftOf, forgetDraft, keepDraft } from './drafts';
import { DIRECTION_WORDS, KIND_WORDS } from './talkWords';

interface TalkSheetProps {
  readonly uid: Uid;
  /** What was begun from the card; a call where nothing is said. */
  readonly kind?: TalkKind;
  /** The talk that is changed; undefined for a new one. */
  readonly talk?: Talk;
  readonly onClose: () => void;
}

/** After a talk: what was said, when next, what to begin the next one with. Everything may stay empty. */
export function TalkSheet(props: TalkSheetProps) {
  const card = useCard(props.uid);
  return card ? <OpenSheet {...props} card={card} /> : null;
}

function OpenSheet({ card, kind = 'call', talk, onClose }: TalkSheetProps & { readonly card: Card }) {
  const dispatch = useAppDispatch();
  const { newUid } = useServices();
  const today = localDay();
  const [draft, setDraft] = useState<Draft>(() => draftOf(card, talk, kind, today));
  const set = (some: Partial<Draft>) => {
    const next = { ...draft, ...some };
    setDraft(next);
    // A sheet that is closed, or a page that is left, keeps what was typed.
    if (!talk) keepDraft(card.uid, next);
  };
  const name = shownAs(card) || 'them';
  const day = dayOf(draft.day, today);
  const next = draft.next.trim() === '' ? undefined : parseWhen(draft.next, today, LOCALE);
  const isWrong = day === undefined || (draft.next.trim() !== '' && next === undefined);
  const save = async () => {
    if (day === undefined) return;
    const said: Talk = {
      ...(talk ?? { id: newUid(), with: [card.uid], ...(day === today ? { time: localTime() } : {}) }),
      ...{ kind: draft.kind, direction: draft.direction, day, said: draft.said.trim() },
    };
    const label = `${talk ? 'Changed' : 'Noted'} a ${KIND_WORDS[said.kind].toLowerCase()} with ${name}`;
    const change = { ...(talk ? { before: talk } : {}), after: said };
    const upserts = talk ? [] : [withNext(card, next, draft.opener)];
    await dispatch(changeBook({ cause: 'edit', label, upserts, talks: [change] }));
    forgetDraft(card.uid);
    onClose();
  };
  const remove = async () => {
    const label = `Deleted a talk with ${name}`;
    await dispatch(changeBook({ cause: 'delete', label, talks: talk ? [{ before: talk }] : [] }));
    onClose();
  };
  return (
    <Sheet title={talk ? `Talk with ${name}` : `After talking to ${name}`} isOpen onClose={onClose}>
      <View className="gap-3">
        <Field
          label="What was said"
          value={draft.said}
          onChange={(text) => set({ said: text })}
          isLong
          isFirst
          testID="talk-said"
        />
        {talk ? null : (
          <>
            <Field
              label="When next"
              value={draft.next}
              onChange={(text) => set({ next: text })}
              placeholder="in ten days, first week of March"
              hint={next}
              error={
                draft.next.trim() !== '' && next === undefined
                  ? 'Say a day to come, such as “in ten days” or “3 March”'
                  : undefined
              }
              testID="talk-next"
            />
            <Field
              label="Open the next talk with"
              value={draft.opener}
              onChange={(text) => set({ opener: text })}
              testID="talk-opener"
            />
          </>
        )}
        <NextAct label="Save" isDisabled={isWrong} onPress={() => void save()} testID="save-talk" />
        <Tabs
          name="Kind of talk"
          options={TALK_KINDS.map((one) => [one, KIND_WORDS[one]] as const)}
          value={draft.kind}
          onChange={(one) => set({ kind: one })}
        />
        <Tabs
          name="Who began it"
          options={DIRECTIONS.map((one) => [one, DIRECTION_WORDS[one]] as const)}
          value={draft.direction}
          onChange={(one) => set({ direction: one })}
        />
        <Field
          label="Day"
          value={draft.day}
          onChange={(text) => set({ day: text })}
          hint={day === today ? 'today' : undefined}
          error={day === undefined ? 'Write the day as 2026-11-25' : undefined}
          testID="talk-day"
        />
        {talk ? (
          <View className="flex-row">
            <Act
              label="Delete this talk"
              icon={Trash}
              tone="brick"
              onPress={() => void remove()}
              testID="delete-talk"
            />
          </View>
        ) : (
          <Txt size="small" tone="faded">
            What is typed stays here until it is saved.
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

/** A day set by hand is used up by the talk; a new one takes its place, and so does the opener. */
function withNext(card: Card, next: string | undefined, opener: string): Card {
  const { 'cordialis.example:due': _, 'cordialis.example:opener': __, ...rest } = card;
  return {
    ...rest,
    ...(next === undefined ? {} : { 'cordialis.example:due': next }),
    ...(opener.trim() === '' ? {} : { 'cordialis.example:opener': opener.trim() }),
  };
}
