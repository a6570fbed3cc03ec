import { useState } from 'react';
import { View } from 'react-native';

import { changeSettingsUndoably } from '@/book/settings';
import { selectSettings, useAppDispatch, useAppSelector } from '@/book/state';
import { normalizeAddress } from '@/core/card';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/settings/settings';
import { Act, Field, Plus, Txt, X } from '@/ui';

/** The user's own mail addresses: by them it is known who wrote, and who organises an appointment. */
export function OwnAddresses({ guessed = [] }: { readonly guessed?: readonly string[] }) {
  const dispatch = useAppDispatch();
  const { ownAddresses } = useAppSelector(selectSettings);
  const [typed, setTyped] = useState('');
  const address = normalizeAddress(typed);
  const isAddress = /^[^\s@]+@[^\s@]+$/.test(address);
  const put = (addresses: readonly string[]) =>
    dispatch(changeSettingsUndoably(shared.yourOwnAddresses, { ownAddresses: [...new Set(addresses)] }));
  const offered = guessed.filter((one) => !ownAddresses.includes(one));
  return (
    <View className="gap-1" testID="own-addresses">
      {ownAddresses.map((one) => (
        <View key={one} className="flex-row items-center justify-between border-b border-rule">
          <Txt>{one}</Txt>
          <Act
            label={texts.remove}
            name={texts.removeNamed(one)}
            icon={X}
            tone="faded"
            onPress={() => put(ownAddresses.filter((other) => other !== one))}
          />
        </View>
      ))}
      {offered.length === 0 ? null : (
        <View className="flex-row flex-wrap gap-x-5">
          {offered.map((one) => (
            <Act
              key={one}
              label={texts.isMine(one)}
              icon={Plus}
              onPress={() => put([...ownAddresses, one])}
              testID="guessed-own"
            />
          ))}
        </View>
      )}
      <View className="flex-row items-end gap-4">
        <View className="min-w-0 flex-1">
          <Field
            label={texts.addAddress}
            value={typed}
            onChange={setTyped}
            kind="email"
            testID="own-address"
          />
        </View>
        <Act
          label={texts.add}
          icon={Plus}
          isDisabled={!isAddress}
          onPress={() => {
            put([...ownAddresses, address]);
            setTyped('');
          }}
          testID="add-own-address"
        />
      </View>
    </View>
  );
}
