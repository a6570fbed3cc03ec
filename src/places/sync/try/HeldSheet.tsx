import { useState } from 'react';
import { View } from 'react-native';

import { useHubAct } from '@/book/sync';
import type { StandInStatus } from '@/core/sync';
import { texts } from '@/texts/sync/try';
import { Act, Field, NextAct, Sheet, Trash } from '@/ui';

interface HeldSheetProps {
  readonly now: StandInStatus;
  /** '' for a new card. */
  readonly uid: string;
  readonly onClose: () => void;
}

const linesOf = (text: string) => text.split('\n').map((line) => line.trim());

/** A card on the device, changed as its user would. */
export function HeldSheet({ now: { kind, cards }, uid, onClose }: HeldSheetProps) {
  const act = useHubAct();
  const held = cards.find((card) => card.uid === uid);
  const [name, setName] = useState(held?.name ?? '');
  const [phones, setPhones] = useState(held?.phones.join('\n') ?? '');
  const [mails, setMails] = useState(held?.mails.join('\n') ?? '');
  const edit = { name: name.trim(), phones: linesOf(phones), mails: linesOf(mails) };
  const save = async () => {
    await act((hub, token) => hub.editHeld(token, kind, held?.uid, edit));
    onClose();
  };
  const then = (work: Promise<unknown>) => void work.then(onClose);
  return (
    <Sheet title={held ? held.name : texts.newCardOnDevice} isOpen onClose={onClose}>
      <View className="gap-3" testID="held-sheet">
        <Field label={texts.name} value={name} onChange={setName} isFirst testID="held-name" />
        {held?.isGroup === true ? null : (
          <>
            <Field
              label={texts.numbersOnePerLine}
              value={phones}
              onChange={setPhones}
              isLong
              testID="held-phones"
            />
            <Field
              label={texts.mailAddressesOnePer}
              value={mails}
              onChange={setMails}
              isLong
              testID="held-mails"
            />
          </>
        )}
        <NextAct
          label={texts.saveOnDevice}
          isDisabled={edit.name === ''}
          onPress={() => void save()}
          testID="held-save"
        />
        {held ? (
          <View className="flex-row flex-wrap gap-x-6">
            {kind === 'computer' ? (
              <Act
                label={texts.duplicate}
                onPress={() => then(act((hub, token) => hub.duplicateHeld(token, kind, held.uid)))}
              />
            ) : null}
            <Act
              label={texts.deleteOnDevice}
              icon={Trash}
              tone="brick"
              onPress={() => then(act((hub, token) => hub.removeHeld(token, kind, held.uid)))}
              testID="held-delete"
            />
          </View>
        ) : null}
      </View>
    </Sheet>
  );
}
