import { useState } from 'react';
import { View } from 'react-native';

import { go } from '@/platform/navigation';
import { Act, Field, NextAct, ScanText, Txt, Upload } from '@/ui';

interface InvitationProps {
  readonly onChoose: () => void;
  /** Text typed or pasted, as a file. */
  readonly onText: (file: File) => void;
}

/** What can be taken in, and the ways to begin. */
export function Invitation({ onChoose, onText }: InvitationProps) {
  const [isTyping, setTyping] = useState(false);
  const [text, setText] = useState('');
  return (
    <View className="gap-4">
      <Txt font="serifItalic" size="strong" tone="faded">
        From vCard files of any age (.vcf), tables (.csv), JSContact and jCard (.json), or all of them in a
        zip archive. You see what would change before anything does.
      </Txt>
      <NextAct label="Choose files" icon={Upload} onPress={onChoose} testID="choose-files" />
      <Txt size="small" tone="faded">
        Or drop them anywhere on this page, or paste their text.
      </Txt>
      {isTyping ? (
        <View className="gap-3">
          <Field
            label="The text of cards, or of a table"
            value={text}
            onChange={setText}
            isLong
            isFirst
            testID="import-text"
          />
          <View className="flex-row gap-4">
            <Act
              label="Read this text"
              isDisabled={text.trim() === ''}
              onPress={() => onText(new File([text], 'pasted text', { type: 'text/plain' }))}
              testID="read-text"
            />
            <Act label="Cancel" tone="faded" onPress={() => setTyping(false)} />
          </View>
        </View>
      ) : (
        <View className="flex-row">
          <Act label="Paste text" onPress={() => setTyping(true)} testID="paste-text" />
        </View>
      )}
      <View className="border-t border-rule pt-3">
        <Txt tone="faded">
          A signature, a mail or the words on a printed card are no file of cards, but a card can be read out
          of them.
        </Txt>
        <View className="flex-row">
          <Act
            label="Card from text"
            icon={ScanText}
            onPress={() => go('/import/text')}
            testID="card-from-text"
          />
        </View>
      </View>
    </View>
  );
}
