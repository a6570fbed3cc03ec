import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useAppDispatch, useCardGetter } from '@/book/state';
import { dropRefused, dropRefusedTalk, useHub } from '@/book/sync';
import { shownAs, type Uid } from '@/core/card';
import { cardPath, formatDay } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/sync';
import { Act, NameLink, Txt } from '@/ui';

/** Cards and talks that the hub doesn't take, with its reasons: to be changed, or left here. */
export function RefusedPart() {
  const dispatch = useAppDispatch();
  const getCard = useCardGetter();
  const { refused, refusedTalks } = useHub();
  const cards = Object.entries(refused);
  if (cards.length + refusedTalks.length === 0) return null;
  const nameOf = (uid: Uid | undefined) => {
    const card = uid === undefined ? undefined : getCard(uid);
    return card ? shownAs(card) : texts.cardThatHasGone;
  };
  return (
    <View testID="refused">
      <Txt size="small" font="sansBold" tone="brick">
        {texts.notTakenByHub(cards.length, refusedTalks.length)}
      </Txt>
      {cards.map(([uid, reason]) => (
        <Refused
          key={uid}
          uid={uid}
          name={nameOf(uid)}
          what={nameOf(uid)}
          reason={reason}
          onDrop={() => void dispatch(dropRefused(uid))}
        />
      ))}
      {refusedTalks.map((talk) => {
        const day = formatDay(`${talk.day}T12:00:00Z`);
        return (
          <Refused
            key={talk.id}
            uid={talk.uid}
            name={nameOf(talk.uid)}
            what={texts.talkOnWith(day, nameOf(talk.uid))}
            reason={talk.reason}
            onDrop={() => void dispatch(dropRefusedTalk(talk))}
          >
            <Txt size="small">{texts.talkOn(day)}</Txt>
          </Refused>
        );
      })}
    </View>
  );
}

interface RefusedProps {
  readonly uid: Uid | undefined;
  readonly name: string;
  /** In a sentence: what stays in this browser. */
  readonly what: string;
  readonly reason: string;
  readonly onDrop: () => void;
  readonly children?: ReactNode;
}

function Refused({ uid, name, what, reason, onDrop, children }: RefusedProps) {
  const getCard = useCardGetter();
  return (
    <View className="border-b border-rule py-1">
      {uid !== undefined && getCard(uid) ? (
        <NameLink label={name} href={cardPath(uid)} onPress={() => go(cardPath(uid))} font="serif" />
      ) : (
        <Txt>{name}</Txt>
      )}
      {children}
      <Txt size="small">{reason}</Txt>
      <View className="flex-row">
        <Act label={texts.leaveItHere} name={texts.leaveItHereNamed(what)} tone="faded" onPress={onDrop} />
      </View>
    </View>
  );
}
