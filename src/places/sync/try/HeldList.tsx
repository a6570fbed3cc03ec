import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { foldText } from '@/core/base';
import type { StandInStatus } from '@/core/sync';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/try';
import { Act, Field, Txt } from '@/ui';

/** Rows shown at first, and with each press more. */
const ROWS = 40;

interface HeldListProps {
  readonly now: StandInStatus;
  readonly onOpen: (uid: string) => void;
}

/** The cards on a device, in a plain list of its own. */
export function HeldList({ now, onOpen }: HeldListProps) {
  const [text, setText] = useState('');
  const [shown, setShown] = useState(ROWS);
  const wanted = foldText(text);
  const found = now.cards.filter(({ name, phones, mails }) =>
    [name, ...phones, ...mails].some((value) => foldText(value).includes(wanted)),
  );
  return (
    <View>
      <Field
        label={texts.amongItsCards(now.cards.length)}
        value={text}
        onChange={setText}
        testID="held-find"
      />
      {found.slice(0, shown).map(({ uid, name, phones, mails, isGroup, isWaiting }) => (
        <Pressable
          key={uid}
          role="button"
          aria-label={`${name}${isWaiting ? texts.notSentYet : ''}`}
          onPress={() => onOpen(uid)}
          className="min-h-[52px] justify-center border-b border-rule py-1 hover:bg-leaf/60 active:bg-leaf"
        >
          <View className="flex-row justify-between gap-3">
            <View className="min-w-0 flex-1">
              <Txt lines={1}>{name === '' ? shared.noName : name}</Txt>
            </View>
            {isWaiting ? (
              <Txt size="small" tone="ochre">
                {texts.notSentYetWord}
              </Txt>
            ) : null}
          </View>
          <Txt size="small" tone="faded" lines={1} isFigures>
            {isGroup ? texts.list : [...phones, ...mails].join(' · ')}
          </Txt>
        </Pressable>
      ))}
      {found.length > shown ? (
        <View className="flex-row">
          <Act
            label={texts.moreCount(found.length - shown)}
            tone="faded"
            onPress={() => setShown(shown + 200)}
          />
        </View>
      ) : null}
    </View>
  );
}
