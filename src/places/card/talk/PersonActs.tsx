import { type ReactNode, useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { selectSettings, useAppDispatch, useAppSelector, useCard } from '@/book/state';
import { addDays, addMonths } from '@/core/base';
import { type Card, greetingFor, reachOf, shownAs, type Uid } from '@/core/card';
import type { Occasion, TalkKind } from '@/core/talks';
import { localDay } from '@/platform';
import { Act, Check, LinkAct, Mail, MessageSquare, NotebookPen, Phone } from '@/ui';

import { TalkSheet } from './TalkSheet';

interface PersonActsProps {
  readonly uid: Uid;
  readonly occasion: Occasion;
  /** Of a day that is kept: which of the card's days, as in RFC 9553 §2.8.1. */
  readonly kind?: string;
}

const QUIET_DAYS = 30;

/** What can be done for somebody from where they stand: call, message, write, note the talk, put off. */
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
        <LinkAct label="Call" icon={Phone} uri={reach.call} onPress={() => setBegun('call')} />
      )}
      {reach.message === undefined ? null : (
        <LinkAct
          label="Message"
          icon={MessageSquare}
          uri={text === '' ? reach.message : `${reach.message}?body=${text}`}
          onPress={() => setBegun('message')}
        />
      )}
      {reach.write === undefined ? null : (
        <LinkAct
          label="Write"
          icon={Mail}
          uri={text === '' ? reach.write : `${reach.write}?subject=${text}&body=${text}`}
          onPress={() => setBegun('mail')}
        />
      )}
      <Act
        label="Note"
        name={`Note a talk with ${shownAs(card)}`}
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
      label="Done"
      name={`${shownAs(card)} has been greeted`}
      icon={Check}
      tone="ink"
      onPress={() => change('Greeted', { 'cordialis.example:greeted': greeted })}
      testID="greeted"
    />
  );
}

function PutOff({ card }: { readonly card: Card }) {
  const change = useCardChange(card);
  const today = localDay();
  const to = (day: string, words: string) =>
    change(`Postponed by ${words}`, { 'cordialis.example:due': day });
  return (
    <Line>
      <Act
        label="Tomorrow"
        name={`Postpone ${shownAs(card)} until tomorrow`}
        tone="faded"
        onPress={() => to(addDays(today, 1), 'a day')}
      />
      <Act
        label="In a week"
        name={`Postpone ${shownAs(card)} by a week`}
        tone="faded"
        onPress={() => to(addDays(today, 7), 'a week')}
        testID="off-week"
      />
      <Act
        label="In a month"
        name={`Postpone ${shownAs(card)} by a month`}
        tone="faded"
        onPress={() => to(addMonths(today, 1), 'a month')}
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
        label="Not now"
        name={`Don’t suggest ${name} for a month`}
        tone="faded"
        onPress={() =>
          change('Not suggested for a month', { 'cordialis.example:quiet': addDays(localDay(), QUIET_DAYS) })
        }
        testID="not-now"
      />
      <Act
        label="Never"
        name={`Never suggest ${name}`}
        tone="faded"
        onPress={() => change('Never suggested', { 'cordialis.example:quiet': 'never' })}
      />
    </Line>
  );
}

function Line({ children }: { readonly children: ReactNode }) {
  return <View className="flex-row flex-wrap gap-x-4">{children}</View>;
}

/** Puts a few properties on a card, as a step that can be taken back. */
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
