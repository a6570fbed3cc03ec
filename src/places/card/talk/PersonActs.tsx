import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector, useCard } from '@/book/state';
import { addDays, addMonths } from '@/core/base';
import { type Card, greetingFor, reachOf, shownAs, type Uid } from '@/core/card';
import type { Occasion, TalkKind } from '@/core/talks';
import { localDay } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/card/talk';
import { Act, Check, LinkAct, Mail, MessageSquare, NotebookPen, Phone } from '@/ui';

import { TalkSheet } from './TalkSheet';

interface PersonActsProps {
  readonly uid: Uid;
  readonly occasion: Occasion;
  /** Of a day that is kept: which of the card's days, as in RFC 9553 §2.8.1. */
  readonly kind?: string;
}

const QUIET_DAYS = 30;

/** Acts for a person in a list: call, message, write, note a talk, postpone. */
export function PersonActs({ uid, ...props }: PersonActsProps) {
  const card = useCard(uid);
  return card ? <Acts card={card} {...props} /> : null;
}

function Acts({ card, occasion, kind = occasion }: Omit<PersonActsProps, 'uid'> & { readonly card: Card }) {
  const { country } = useAppSelector(selectSettings);
  const [begun, setBegun] = useState<TalkKind>();
  const reach = reachOf(card, country);
  const isGreeting = occasion === 'birth' || occasion === 'wedding';
  const isDay = isGreeting || occasion === 'other';
  const text = isGreeting ? encodeURIComponent(greetingFor(card, occasion)) : '';
  return (
    <View className="flex-row flex-wrap gap-x-4">
      {reach.call === undefined ? null : (
        <LinkAct label={texts.call} icon={Phone} uri={reach.call} onPress={() => setBegun('call')} />
      )}
      {reach.message === undefined ? null : (
        <LinkAct
          label={texts.message}
          icon={MessageSquare}
          uri={text === '' ? reach.message : `${reach.message}?body=${text}`}
          onPress={() => setBegun('message')}
        />
      )}
      {reach.write === undefined ? null : (
        <LinkAct
          label={texts.write}
          icon={Mail}
          uri={text === '' ? reach.write : `${reach.write}?subject=${text}&body=${text}`}
          onPress={() => setBegun('mail')}
        />
      )}
      <Act
        label={texts.note}
        name={shared.noteTalkWith(shownAs(card))}
        icon={NotebookPen}
        tone="ink"
        onPress={() => setBegun('call')}
        testID="today-note"
      />
      {isDay ? <Greeted card={card} kind={kind} /> : null}
      {occasion === 'due' ? <PutOff card={card} /> : null}
      {occasion === 'quiet' ? <LeaveQuiet card={card} /> : null}
      {begun === undefined ? null : (
        <TalkSheet uid={card.uid} kind={begun} onClose={() => setBegun(undefined)} />
      )}
    </View>
  );
}

function Greeted({ card, kind }: { readonly card: Card; readonly kind: string }) {
  const change = useCardChange(card);
  const greeted = { ...card['cordialis.example:greeted'], [kind]: localDay().slice(0, 4) };
  return (
    <Act
      label={texts.done}
      name={texts.hasBeenGreeted(shownAs(card))}
      icon={Check}
      tone="ink"
      onPress={() => change(texts.greeted, { 'cordialis.example:greeted': greeted })}
      testID="greeted"
    />
  );
}

function PutOff({ card }: { readonly card: Card }) {
  const change = useCardChange(card);
  const today = localDay();
  const to = (day: string, words: string) =>
    change(texts.postponedBy(words), { 'cordialis.example:due': day });
  return (
    <Line>
      <Act
        label={texts.tomorrow}
        name={texts.postponeUntilTomorrowNamed(shownAs(card))}
        tone="faded"
        onPress={() => to(addDays(today, 1), texts.dayWord)}
      />
      <Act
        label={texts.inWeek}
        name={texts.postponeByWeekNamed(shownAs(card))}
        tone="faded"
        onPress={() => to(addDays(today, 7), texts.week)}
        testID="off-week"
      />
      <Act
        label={texts.inMonth}
        name={texts.postponeByMonth(shownAs(card))}
        tone="faded"
        onPress={() => to(addMonths(today, 1), texts.month)}
      />
    </Line>
  );
}

function LeaveQuiet({ card }: { readonly card: Card }) {
  const change = useCardChange(card);
  const name = shownAs(card);
  return (
    <Line>
      <Act
        label={texts.notNow}
        name={texts.dontSuggestForMonth(name)}
        tone="faded"
        onPress={() =>
          change(texts.notSuggestedForMonth, { 'cordialis.example:quiet': addDays(localDay(), QUIET_DAYS) })
        }
        testID="not-now"
      />
      <Act
        label={texts.never}
        name={texts.neverSuggest(name)}
        tone="faded"
        onPress={() => change(texts.neverSuggested, { 'cordialis.example:quiet': 'never' })}
      />
    </Line>
  );
}

function Line({ children }: { readonly children: ReactNode }) {
  return <View className="flex-row flex-wrap gap-x-4">{children}</View>;
}

/** Sets a few properties of a card, as a step that can be undone. */
function useCardChange(card: Card) {
  const dispatch = useAppDispatch();
  return (what: string, some: Partial<Card>) =>
    void dispatch(
      changeMany({
        cards: [card],
        label: `${what}: ${shownAs(card)}`,
        change: (one) => ({ ...one, ...some }),
      }),
    );
}
