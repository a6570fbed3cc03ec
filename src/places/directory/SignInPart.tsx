import { useState } from 'react';
import { View } from 'react-native';

import { useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { askHub, bookName } from '@/platform';
import { DEMO_ACCESS } from '@/texts/base/demoAccess';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/directory/directory';
import { Act, Field, isForm, NextAct, Txt } from '@/ui';

interface SignInProps {
  /** Nobody has access yet: whoever has the book becomes the administrator. */
  readonly isFirst: boolean;
  readonly enter: (name: string, passphrase: string) => Promise<void>;
}

/** In the demo nobody has to guess: who has access, as what, and the passphrase of all. */
function DemoAccess({ enter }: { readonly enter: (name: string) => void }) {
  return (
    <View testID="demo-access">
      <Txt tone="faded">{texts.demoPassphrase(DEMO_ACCESS.passphrase)}</Txt>
      {DEMO_ACCESS.users.map(({ name, role }) => (
        <View key={name} className="flex-row">
          <Act label={texts.enterAs(name, role)} onPress={() => enter(name)} />
        </View>
      ))}
    </View>
  );
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
    <View className="gap-4" testID="sign-in" {...isForm}>
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
      {isFirst || bookName() !== 'cordialis-demo' ? null : (
        <DemoAccess enter={(who) => void enter(who, DEMO_ACCESS.passphrase)} />
      )}
      <NextAct
        label={isFirst ? texts.createDirectory : texts.signIn}
        isDisabled={name.trim() === '' || passphrase === '' || isBarred}
        onPress={() => void go().catch((error: unknown) => setFault(errorMessage(error)))}
        testID="directory-enter"
      />
    </View>
  );
}
