import { useState } from 'react';
import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { ENVELOPES, envelopesAsPage, type Letter } from '@/core/write';
import { printPage } from '@/platform';
import { texts } from '@/texts/write/letters';
import { Choice, Field, NextAct, Printer } from '@/ui';

/** Which envelope, whose sender, and printing them. */
export function EnvelopesPart({ letters }: { readonly letters: readonly Letter[] }) {
  const dispatch = useAppDispatch();
  const { sender } = useAppSelector(selectSettings);
  const [name, setName] = useState(ENVELOPES[0]?.name ?? '');
  const size = ENVELOPES.find((one) => one.name === name);
  const from = sender.split('\n').map((line) => line.trim());
  return (
    <View className="gap-4" testID="envelopes">
      <Choice
        name={texts.envelope}
        options={ENVELOPES.map((one) => [one.name, one.name] as const)}
        value={name}
        onChange={setName}
      />
      <Field
        label={texts.sender}
        value={sender}
        onChange={(text) => dispatch(changeSettingsUndoably(texts.senderOfLetters, { sender: text }))}
        hint={texts.printedSmallAtTop}
        isLong
        testID="sender"
      />
      <NextAct
        label={texts.printEnvelopes(letters.length)}
        icon={Printer}
        isDisabled={letters.length === 0 || size === undefined}
        onPress={() => (size ? printPage(envelopesAsPage(letters, size, from.filter(Boolean))) : undefined)}
        testID="print-envelopes"
      />
    </View>
  );
}
