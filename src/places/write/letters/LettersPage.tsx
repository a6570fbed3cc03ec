import { useState } from 'react';
import { View } from 'react-native';

import { selectCardsByUid, selectSettings, useAppSelector, useCardGetter } from '@/book/state';
import { useMailDraft } from '@/book/write';
import { shownAs } from '@/core/card';
import { findLetters, type Letters, type TemplateWords, writeLetterList } from '@/core/write';
import { LOCALE, saveFile } from '@/platform';
import { goBack } from '@/platform/navigation';
import { texts } from '@/texts/write/letters';
import { Act, Choice, Download, OverPage, TitledPart, Txt, useLoaded, usePageTitle } from '@/ui';

import { LeftOut } from '../LeftOut';
import { ToField } from '../ToField';
import { EnvelopesPart } from './EnvelopesPart';
import { LabelsPart } from './LabelsPart';

type Kind = 'labels' | 'envelopes';

const countries = new Intl.DisplayNames(LOCALE, { type: 'region', fallback: 'none' });

interface LettersProps {
  /** Loads what greets people in their own languages. */
  readonly loadWords: () => Promise<TemplateWords>;
}

/** Labels, envelopes and a list of addresses for the people whom the message goes to. */
export function LettersPage({ loadWords }: LettersProps) {
  usePageTitle(texts.letters);
  const words = useLoaded(loadWords);
  const now = useMailDraft();
  const found = useLetters(now.recipients);
  const getCard = useCardGetter();
  const [kind, setKind] = useState<Kind>('labels');
  const { draft, set } = now;
  if (!draft) return null;
  const { letters, without } = found;
  return (
    <OverPage
      title={texts.letters}
      backLabel={texts.write}
      onBack={() => goBack('/write')}
      className="max-w-[720px] gap-5"
      testID="letters-page"
    >
      <ToField draft={draft} set={set} />
      <View>
        <Txt testID="letter-count">{texts.lettersToSend(letters.length)}</Txt>
        <LeftOut title={texts.withoutPostAddress} uids={without} testID="without-address" />
      </View>
      <Choice
        name={texts.whatIsPrinted}
        options={[
          ['labels', texts.labelsOnSheet],
          ['envelopes', texts.envelopes],
        ]}
        value={kind}
        onChange={setKind}
      />
      {kind === 'labels' ? <LabelsPart letters={letters} /> : <EnvelopesPart letters={letters} />}
      <TitledPart title={texts.forAnotherProgram}>
        <View className="flex-row">
          <Act
            label={texts.saveListAsTable}
            icon={Download}
            isDisabled={letters.length === 0 || !words}
            onPress={() =>
              saveFile(
                'letters.csv',
                writeLetterList(letters, getCard, words?.salutationFor ?? shownAs),
                'text/csv;charset=utf-8',
              )
            }
            testID="save-letter-list"
          />
        </View>
      </TitledPart>
    </OverPage>
  );
}

/** Whoever gets the message by mail gets a letter too, and so does whoever has no mail address. */
function useLetters({ people, unreachable }: ReturnType<typeof useMailDraft>['recipients']): Letters {
  const { country } = useAppSelector(selectSettings);
  const cards = useAppSelector(selectCardsByUid);
  const uids = [...people.flatMap(({ uid }) => uid ?? []), ...unreachable];
  return findLetters(uids, (uid) => cards.get(uid), {
    country,
    countryName: (code) => (/^[A-Z]{2}$/.test(code) ? (countries.of(code) ?? '') : ''),
  });
}
