import { useState } from 'react';
import { View } from 'react-native';

import { discardSetAside, readSetAside } from '@/book/commit';
import { selectSetAside, useAppDispatch, useAppSelector } from '@/book/state';
import { localDay, saveFile } from '@/platform';
import { texts } from '@/texts/settings/settings';
import { Act, TitledPart, Txt } from '@/ui';

/** Records of the store that could not be read: their names, and a way to save what they say. */
export function SetAsidePart() {
  const dispatch = useAppDispatch();
  const names = useAppSelector(selectSetAside);
  const [isSaved, setSaved] = useState(false);
  if (names.length === 0) return null;
  const save = async () => {
    const records = await dispatch(readSetAside());
    saveFile(`set-aside-${localDay()}.json`, `${JSON.stringify(records, null, 2)}\n`, 'application/json');
    setSaved(true);
  };
  return (
    <TitledPart title={texts.setAside}>
      <Txt tone="ochre">{texts.recordsOfStoreCouldNotBeRead(names.length)}</Txt>
      {names.map((line) => (
        <Txt key={line} size="small" tone="faded">
          {line}
        </Txt>
      ))}
      <View className="flex-row flex-wrap gap-x-5">
        <Act label={texts.saveSetAside} onPress={() => void save()} testID="save-aside" />
        {isSaved ? (
          <Act
            label={texts.discardSetAside}
            tone="brick"
            onPress={() => void dispatch(discardSetAside())}
            testID="discard-aside"
          />
        ) : null}
      </View>
    </TitledPart>
  );
}
