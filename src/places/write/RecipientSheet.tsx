import { View } from 'react-native';

import type { MailDraftNow } from '@/book/write';
import type { Recipient } from '@/core/write';
import { texts } from '@/texts/write/write';
import { Choice, Sheet, Txt } from '@/ui';

interface RecipientSheetProps {
  readonly now: MailDraftNow;
  readonly recipient: Recipient;
  readonly onClose: () => void;
}

/** Where somebody stands in this message, and at which address. */
export function RecipientSheet({ now: { draft, set, placeOf }, recipient, onClose }: RecipientSheetProps) {
  const { key, uid, name, address, addresses } = recipient;
  return (
    <Sheet title={name === '' ? address : name} isOpen onClose={onClose}>
      <View className="gap-4" testID="recipient-sheet">
        <Choice
          name={texts.where}
          options={[
            ['to', texts.to],
            ['cc', texts.ccCopy],
            ['bcc', texts.bccCopyThatOthers],
            ['off', texts.leaveOutOfThisMessage],
          ]}
          value={placeOf(key)}
          onChange={(place) => {
            set({ places: { ...draft?.places, [key]: place } });
            onClose();
          }}
        />
        {uid === undefined || addresses.length < 2 ? (
          <Txt size="small" tone="faded">
            {address}
          </Txt>
        ) : (
          <Choice
            name={texts.atWhichAddress}
            options={addresses.map((one) => [one, one] as const)}
            value={address}
            onChange={(chosen) => set({ addressOf: { ...draft?.addressOf, [uid]: chosen } })}
          />
        )}
      </View>
    </Sheet>
  );
}
