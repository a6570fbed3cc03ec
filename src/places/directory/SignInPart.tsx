import { useState } from 'react';
import { View } from 'react-native';

import { useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { askHub } from '@/platform';
import { Field, NextAct, Txt } from '@/ui';

interface SignInProps {
  /** Nobody has access yet: whoever has the book becomes the administrator. */
  readonly isFirst: boolean;
  readonly enter: (name: string, passphrase: string) => Promise<void>;
}

/** A name and a passphrase; the first of them is made here. */
export function SignInPart({ isFirst, enter }: SignInProps) {
  const { pairing } = useHub();
  const [name, setName] = useState('');
  const [passphrase, setPassphrase] = useState('');
  const [fault, setFault] = useState('');
  const go = async () => {
    const token = pairing?.token;
    const body = { name: name.trim(), passphrase };
    if (isFirst) await askHub({ method: 'POST', path: '/directory/first', token, body });
    await enter(name.trim(), passphrase);
  };
  const isBarred = isFirst && !pairing;
  return (
    <View className="gap-4" testID="sign-in">
      <Txt font="serifItalic" size="strong" tone="faded">
        {isFirst
          ? 'One person keeps the directory, and everybody with access looks people up in it: vendors, consultants, partners, colleagues. Whoever creates it is its administrator.'
          : 'Sign in to look people up.'}
      </Txt>
      {isBarred ? (
        <Txt tone="ochre">This browser has to be paired with the hub first, under Devices.</Txt>
      ) : null}
      <Field label="Name" value={name} onChange={setName} testID="directory-name" />
      <Field
        label="Passphrase"
        value={passphrase}
        onChange={setPassphrase}
        isSecret
        hint={isFirst ? 'At least twelve characters; several words are easy to remember' : undefined}
        error={fault === '' ? undefined : fault}
        testID="directory-passphrase"
      />
      <NextAct
        label={isFirst ? 'Create the directory' : 'Sign in'}
        isDisabled={name.trim() === '' || passphrase === '' || isBarred}
        onPress={() => void go().catch((error: unknown) => setFault(errorMessage(error)))}
        testID="directory-enter"
      />
    </View>
  );
}
