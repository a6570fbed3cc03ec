import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { askToPersist, formatMegabytes, isPersisted, storageUsed } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, Txt } from '@/ui';

/** Where the book lies: how much room it takes, and whether the browser may throw it away when it needs the room. */
export function StoragePart() {
  const [isKept, setKept] = useState<boolean>();
  const [used, setUsed] = useState<number>();
  useEffect(() => {
    void isPersisted().then(setKept);
    void storageUsed().then(setUsed);
  }, []);
  return (
    <View className="gap-1">
      {used === undefined ? null : <Txt isFigures>{texts.bookTakes(formatMegabytes(used))}</Txt>}
      {isKept === undefined ? null : (
        <Txt tone={isKept ? 'ink' : 'ochre'} testID="kept">
          {isKept ? texts.browserKeepsBook : texts.browserMayRemoveBook}
        </Txt>
      )}
      {isKept === false ? (
        <View className="flex-row">
          <Act label={texts.askBrowserToKeepIt} onPress={() => void askToPersist().then(setKept)} />
        </View>
      ) : null}
    </View>
  );
}
