import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { selectReading, useAppDispatch, useAppSelector } from '@/book/state';
import { pairDemo, pairWithHub, useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { bookName } from '@/platform';
import { Field, NextAct, Txt } from '@/ui';

/** The first step: this browser is paired with the hub by a code. A demo, which holds nothing of anybody's, pairs itself. */
export function PairPart() {
  const dispatch = useAppDispatch();
  const { fault: left } = useHub();
  const isRead = useAppSelector(selectReading) === undefined;
  const [code, setCode] = useState('');
  const [name, setName] = useState('Browser');
  const [fault, setFault] = useState('');
  const isDemo = bookName() === 'cordialis-demo';
  const pair = () =>
    dispatch(pairWithHub(code, name)).catch((error: unknown) => setFault(errorMessage(error)));
  useEffect(() => {
    // A demo from which somebody has just been let go doesn't pair itself again.
    if (isDemo && isRead && left === '')
      dispatch(pairDemo()).catch((error: unknown) => setFault(errorMessage(error)));
  }, [isRead, isDemo, left, dispatch]);
  if (isDemo && fault === '' && left === '') return <Txt tone="faded">Contacting the hub …</Txt>;
  return (
    <View className="gap-3" testID="pair">
      <Txt font="serifItalic" size="strong" tone="faded">
        The phone, the mail client and the computer show the same cards once this browser exchanges them with
        the hub. Private cards stay here.
      </Txt>
      {left === '' ? null : <Txt tone="ochre">{`Stopped: ${left}.`}</Txt>}
      <Txt size="small">
        The hub prints a code when it starts for the first time; another one comes from “npm run -s hub --
        pair”, or from a browser that is paired already. It is good for ten minutes.
      </Txt>
      <Field
        label="Code"
        value={code}
        onChange={setCode}
        placeholder="XXXX-XXXX"
        error={fault === '' ? undefined : fault}
        testID="pair-code"
      />
      <Field label="Name for this browser" value={name} onChange={setName} testID="pair-name" />
      <NextAct
        label="Pair with the hub"
        isDisabled={code.trim() === ''}
        onPress={() => void pair()}
        testID="pair-now"
      />
    </View>
  );
}
