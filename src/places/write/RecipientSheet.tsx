import { View } from 'react-native';

import type { MailDraftNow } from '@/book/write';
import type { Recipient } from '@/core/write';
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
          name="Where"
          options={[
            ['to', 'To'],
            ['cc', 'Cc: a copy'],
            ['bcc', 'Bcc: a copy that the others don’t see'],
            ['off', 'Leave out of this message'],
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
            name="At which address"
            options={addresses.map((one) => [one, one] as const)}
            value={address}
            onChange={(chosen) => set({ addressOf: { ...draft?.addressOf, [uid]: chosen } })}
          />
        )}
      </View>
    </Sheet>
  );
}
