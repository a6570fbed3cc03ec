import { useEffect, useState } from 'react';
import { View } from 'react-native';

import { selectReading, useAppDispatch, useAppSelector } from '@/book/state';
import { pairDemo, pairWithHub, useHub } from '@/book/sync';
import { errorMessage } from '@/core/base';
import { bookName } from '@/platform';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/sync/sync';
import { Field, isForm, NextAct, Txt } from '@/ui';

/**
 * The first step: this browser is paired with the hub by a code. A demo, which holds nothing of anybody's, pairs
 * itself.
 */
export function PairPart() {
  const dispatch = useAppDispatch();
  const { fault: left } = useHub();
  const isRead = useAppSelector(selectReading) === undefined;
  const [code, setCode] = useState('');
  const [name, setName] = useState(texts.browser);
  const [fault, setFault] = useState('');
  const isDemo = bookName() === 'cordialis-demo';
  const pair = () =>
    dispatch(pairWithHub(code, name)).catch((error: unknown) => setFault(errorMessage(error)));
  useEffect(() => {
    // A demo that has just been unpaired doesn't pair itself again.
    if (isDemo && isRead && left === '')
      dispatch(pairDemo()).catch((error: unknown) => setFault(errorMessage(error)));
  }, [isRead, isDemo, left, dispatch]);
  if (isDemo && fault === '' && left === '') return <Txt tone="faded">{shared.contactingHub}</Txt>;
  return (
    <View className="gap-3" testID="pair" {...isForm}>
      <Txt font="serifItalic" size="strong" tone="faded">
        {texts.phoneMailClientAndComputer}
      </Txt>
      {left === '' ? null : <Txt tone="ochre">{texts.stopped(left)}</Txt>}
      <Txt size="small">{texts.hubPrintsCodeWhen}</Txt>
      <Field
        label={texts.code}
        value={code}
        onChange={setCode}
        placeholder={texts.xxxxXxxx}
        error={fault === '' ? undefined : fault}
        testID="pair-code"
      />
      <Field label={texts.nameForThisBrowser} value={name} onChange={setName} testID="pair-name" />
      <NextAct
        label={texts.pairWithHub}
        isDisabled={code.trim() === ''}
        onPress={() => void pair()}
        testID="pair-now"
      />
    </View>
  );
}
