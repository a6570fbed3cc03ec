import { useState } from 'react';
import { Pressable, View } from 'react-native';

import { type EditedText, fieldWords, insertCondition, insertField, type Selection } from '@/core/write';
import { texts } from '@/texts/write/write';
import { Field, Sheet, Tabs, Txt } from '@/ui';

type Way = 'value' | 'known' | 'missing';

const WAYS: readonly (readonly [Way, string])[] = [
  ['value', texts.itsValue],
  ['known', texts.onlyWhereKnown],
  ['missing', texts.onlyWhereMissing],
];

/** What people call the fields. */
const NAMES: Readonly<Record<string, string>> = texts.fields;

interface FieldSheetProps {
  /** Labels of fields that the user has made. */
  readonly labels: readonly string[];
  readonly onChoose: (put: (text: string, selection: Selection) => EditedText) => void;
  readonly onClose: () => void;
}

/** What of each card can stand in a text: its value, or a part that is kept only where the card says something. */
export function FieldSheet({ labels, onChoose, onClose }: FieldSheetProps) {
  const [way, setWay] = useState<Way>('value');
  const [otherwise, setOtherwise] = useState('');
  const choose = (word: string) =>
    onChoose((text, selection) =>
      way === 'value'
        ? insertField({ text, context: { labels } }, selection, word, otherwise)
        : insertCondition({ text, context: { labels } }, selection, word, way === 'known'),
    );
  const offered = [
    ...fieldWords.map((word) => [word, NAMES[word] ?? word] as const),
    ...labels.map((label) => [label, label] as const),
  ];
  return (
    <Sheet title={texts.fromEachCard} isOpen onClose={onClose}>
      <Tabs name={texts.howItStands} options={WAYS} value={way} onChange={setWay} />
      <View className="py-2">
        {way === 'value' ? (
          <Field
            label={texts.whereItIsMissing}
            placeholder={texts.forExampleFriends}
            value={otherwise}
            onChange={setOtherwise}
            testID="field-otherwise"
          />
        ) : (
          <Txt size="small" tone="faded">
            {texts.whatIsSelected}
          </Txt>
        )}
      </View>
      {offered.map(([word, name]) => (
        <Pressable
          key={word}
          role="button"
          aria-label={name}
          onPress={() => choose(word)}
          className="min-h-[44px] justify-center border-b border-rule hover:bg-leaf active:bg-leaf"
          testID={`put-${word}`}
        >
          <Txt>{name}</Txt>
        </Pressable>
      ))}
    </Sheet>
  );
}
