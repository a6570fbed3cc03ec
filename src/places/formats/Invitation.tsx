import { useState } from 'react';
import { View } from 'react-native';

import { go } from '@/platform/navigation';
import { texts as shared } from '@/texts/base/shared';
import { texts } from '@/texts/formats/formats';
import { Act, Field, NextAct, ScanText, Txt, Upload } from '@/ui';

interface InvitationProps {
  readonly onChoose: () => void;
  /** Text typed or pasted, as a file. */
  readonly onText: (file: File) => void;
}

/** What can be imported, and the ways to start. */
export function Invitation({ onChoose, onText }: InvitationProps) {
  const [isTyping, setTyping] = useState(false);
  const [text, setText] = useState('');
  return (
    <View className="gap-4">
      <Txt font="serifItalic" size="strong" tone="faded">
        {texts.fromVcardFilesOfAny}
      </Txt>
      <NextAct label={texts.chooseFiles} icon={Upload} onPress={onChoose} testID="choose-files" />
      <Txt size="small" tone="faded">
        {texts.orDropThemAnywhere}
      </Txt>
      {isTyping ? (
        <View className="gap-3">
          <Field
            label={texts.textOfCardsOrOfTable}
            value={text}
            onChange={setText}
            isLong
            isFirst
            testID="import-text"
          />
          <View className="flex-row gap-4">
            <Act
              label={texts.readThisText}
              isDisabled={text.trim() === ''}
              onPress={() => onText(new File([text], texts.pastedText, { type: 'text/plain' }))}
              testID="read-text"
            />
            <Act label={texts.cancel} tone="faded" onPress={() => setTyping(false)} />
          </View>
        </View>
      ) : (
        <View className="flex-row">
          <Act label={texts.pasteText} onPress={() => setTyping(true)} testID="paste-text" />
        </View>
      )}
      <View className="border-t border-rule pt-3">
        <Txt tone="faded">{texts.signatureMailOrWords}</Txt>
        <View className="flex-row">
          <Act
            label={shared.cardFromText}
            icon={ScanText}
            onPress={() => go('/import/text')}
            testID="card-from-text"
          />
        </View>
      </View>
    </View>
  );
}
