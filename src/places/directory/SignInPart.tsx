import { useState } from 'react';
import { View } from 'react-native';

import { useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { askHub } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
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
        {isFirst ? texts.onePersonKeepsDirectory : texts.signInToLook}
      </Txt>
      {isBarred ? <Txt tone="ochre">{shared.thisBrowserHasToBePaired}</Txt> : null}
      <Field label={texts.name} value={name} onChange={setName} testID="directory-name" />
      <Field
        label={texts.passphrase}
        value={passphrase}
        onChange={setPassphrase}
        isSecret
        hint={isFirst ? texts.atLeastTwelveCharacters : undefined}
        error={fault === '' ? undefined : fault}
        testID="directory-passphrase"
      />
      <NextAct
        label={isFirst ? texts.createDirectory : texts.signIn}
        isDisabled={name.trim() === '' || passphrase === '' || isBarred}
        onPress={() => void go().catch((error: unknown) => setFault(errorMessage(error)))}
        testID="directory-enter"
      />
    </View>
  );
}
