import { useEffect, useRef, useState } from 'react';
import { View } from 'react-native';

import { selectRow, useAppSelector, useCard, useCardGetter, usePhoto } from '@/book/state';
import { initialsOf, ringtoneOf, shownAs } from '@/core/card';
import type { HeldCardView, StandInStatus } from '@/core/sync';
import { cardPath, ring } from '@/platform';
import { go } from '@/platform/navigation';
import { texts } from '@/texts/sync/try';
import { Act, Phone, Stamp, Txt } from '@/ui';

/** A call that comes in on the phone: it rings, and shows who it is as far as the phone knows. */
export function CallPart({ now }: { readonly now: StandInStatus }) {
  const [caller, setCaller] = useState<HeldCardView>();
  const getCard = useCardGetter();
  const stop = useRef<() => void>(undefined);
  const end = () => {
    stop.current?.();
    stop.current = undefined;
    setCaller(undefined);
  };
  const call = () => {
    const callers = now.cards.filter(({ phones }) => phones.length > 0);
    const next = callers[Math.floor((performance.now() * 7) % Math.max(1, callers.length))];
    if (!next) return;
    end();
    stop.current = ring(ringtoneOf(getCard(next.uid)));
    setCaller(next);
  };
  useEffect(() => () => stop.current?.(), []);
  return (
    <View>
      <View className="flex-row">
        <Act label={texts.simulateCall} icon={Phone} onPress={call} testID="have-call" />
      </View>
      {caller ? <Caller caller={caller} onEnd={end} /> : null}
    </View>
  );
}

function Caller({ caller, onEnd }: { readonly caller: HeldCardView; readonly onEnd: () => void }) {
  const card = useCard(caller.uid);
  const opener = card?.['cordialis.example:opener'];
  const row = useAppSelector((state) => selectRow(state, caller.uid));
  const photo = usePhoto(row?.photo);
  return (
    <View role="alert" className="flex-row gap-4 border-y border-rule py-3" testID="caller">
      <Stamp
        initials={card ? initialsOf(card) : caller.name.slice(0, 1)}
        isOrg={card?.kind === 'org'}
        photo={photo}
        size="card"
      />
      <View className="min-w-0 flex-1">
        <Txt size="small" tone="faded">
          {texts.calling}
        </Txt>
        <Txt font="serif" size="title">
          {card ? shownAs(card) : caller.name}
        </Txt>
        {row?.second ? <Txt tone="faded">{row.second}</Txt> : null}
        <Txt isFigures>{caller.phones[0]}</Txt>
        {opener === undefined ? null : <Txt font="serifItalic">{opener}</Txt>}
        <View className="flex-row flex-wrap gap-x-6">
          <Act
            label={texts.openCard}
            onPress={() => {
              onEnd();
              go(cardPath(caller.uid));
            }}
          />
          <Act label={texts.hangUp} tone="brick" onPress={onEnd} testID="hang-up" />
        </View>
      </View>
    </View>
  );
}
