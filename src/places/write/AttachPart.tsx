import { useState } from 'react';
import { View } from 'react-native';

import { foundBy, useFoundByName } from '@/book/lists';
import { selectRowsByUid, useAppSelector } from '@/book/state';
import type { MailDraft } from '@/book/write';
import { texts } from '@/texts/write/write';
import { Act, OfferField, Paperclip, Trash, Txt } from '@/ui';

/** Cards offered at once. */
const OFFERED = 5;

interface AttachPartProps {
  readonly draft: MailDraft;
  readonly set: (some: Partial<MailDraft>) => void;
}

/** Cards that go along with the message as files: found by a name, taken off again. */
export function AttachPart({ draft: { attached }, set }: AttachPartProps) {
  const rows = useAppSelector(selectRowsByUid);
  const [isOpen, setOpen] = useState(false);
  const [text, setText] = useState('');
  const found = useFoundByName(text.trim(), OFFERED + attached.length + 5);
  const hits = (found ?? []).filter(({ kind, uid }) => kind !== 'list' && !attached.includes(uid));
  const attach = (uid: string) => {
    setText('');
    set({ attached: [...attached, uid] });
  };
  return (
    <View className="gap-1" testID="attached">
      {attached.map((uid) => {
        const name = rows.get(uid)?.shown ?? texts.cardThatIsGone;
        return (
          <View key={uid} className="flex-row items-center justify-between border-b border-rule">
            <Txt>{texts.asCard(name)}</Txt>
            <Act
              label={texts.removeCardOf(name)}
              icon={Trash}
              iconOnly
              tone="faded"
              onPress={() => set({ attached: attached.filter((one) => one !== uid) })}
            />
          </View>
        );
      })}
      {isOpen ? (
        <OfferField
          label={texts.cardToAttach}
          value={text}
          onChange={setText}
          placeholder={texts.beginningOfName}
          hint={texts.withoutPrivateValuesNotes}
          isFirst
          testID="attach-card"
          isKnown={found !== undefined}
          offers={hits.slice(0, OFFERED).map((hit) => ({
            key: hit.uid,
            name: texts.attach(hit.shown),
            title: hit.shown,
            second: foundBy(hit),
            isSure: hit.isNear !== true,
            onPress: () => attach(hit.uid),
          }))}
        />
      ) : (
        <View className="flex-row">
          <Act
            label={texts.attachCard}
            icon={Paperclip}
            tone="faded"
            onPress={() => setOpen(true)}
            testID="open-attach"
          />
        </View>
      )}
    </View>
  );
}
