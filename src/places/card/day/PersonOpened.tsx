import { useState } from 'react';
import { View } from 'react-native';

import { changeMany } from '@/book/commit';
import { useAppDispatch, useCard } from '@/book/state';
import { useTalksWith } from '@/book/talks';
import { addDays, addMonths } from '@/core/base';
import { type Card, shownAs } from '@/core/card';
import type { TalkKind } from '@/core/talks';
import { localDay } from '@/platform';
import { texts } from '@/texts/card/talk';
import { Act, Check, LinkAct, NotebookPen, Txt } from '@/ui';

import { WAYS_TO_TALK } from '../parts/waysToTalk';
import { TalkForm } from '../talk/TalkForm';
import type { PersonOfDay } from './personOfDay';
import { useReach } from './useReach';

const QUIET_DAYS = 30;

/** What a person's row of the day opens to: what to begin with, what was said last, all that can be done from here. */
export function PersonOpened({ uid, ...props }: PersonOfDay) {
  const card = useCard(uid);
  return card ? <Opened card={card} {...props} /> : null;
}

function Opened({ card, occasion, kind = occasion }: Omit<PersonOfDay, 'uid'> & { readonly card: Card }) {
  const reach = useReach(card, occasion);
  const [begun, setBegun] = useState<TalkKind>();
  const isDay = occasion === 'birth' || occasion === 'wedding' || occasion === 'other';
  const name = shownAs(card);
  return (
    <View className="gap-1 pb-2">
      <Opening card={card} />
      <View className="flex-row flex-wrap gap-x-5">
        {WAYS_TO_TALK.map(({ way, label, icon, kind: talk }) => {
          const uri = reach[way];
          return uri === undefined ? null : (
            <LinkAct key={way} label={label} icon={icon} uri={uri} onPress={() => setBegun(talk)} />
          );
        })}
        <Act
          label={texts.afterTalk}
          name={texts.afterTalkingTo(name)}
          icon={NotebookPen}
          onPress={() => setBegun(begun === undefined ? 'call' : undefined)}
          testID="today-note"
        />
      </View>
      {begun === undefined ? null : (
        <View className="max-w-[560px] pb-2" testID="note-in-row">
          <TalkForm key={begun} card={card} kind={begun} isShort onDone={() => setBegun(undefined)} />
        </View>
      )}
      <View className="flex-row flex-wrap gap-x-5">
        {isDay ? <Greeted card={card} kind={kind} /> : null}
        {occasion === 'due' ? <PutOff card={card} /> : null}
        {occasion === 'quiet' ? <LeaveQuiet card={card} /> : null}
      </View>
    </View>
  );
}

/** What to begin with, or what was said last. */
function Opening({ card }: { readonly card: Card }) {
  const { talks } = useTalksWith([card.uid]);
  const opener = card['cordialis.example:opener'];
  const said = talks[0]?.said || talks[0]?.about;
  return (
    <>
      {opener === undefined ? null : (
        <Txt font="serifItalic" size="strong">
          {opener}
        </Txt>
      )}
      {said === undefined || said === '' ? null : (
        <Txt size="small" lines={3}>
          {said}
        </Txt>
      )}
    </>
  );
}

function Greeted({ card, kind }: { readonly card: Card; readonly kind: string }) {
  const change = useCardChange(card);
  const greeted = { ...card['cordialis.example:greeted'], [kind]: localDay().slice(0, 4) };
  return (
    <Act
      label={texts.greeted}
      name={texts.hasBeenGreeted(shownAs(card))}
      icon={Check}
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
    <>
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
    </>
  );
}

function LeaveQuiet({ card }: { readonly card: Card }) {
  const change = useCardChange(card);
  const name = shownAs(card);
  return (
    <>
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
    </>
  );
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
