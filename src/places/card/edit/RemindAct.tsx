import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { useWatch } from 'react-hook-form';
import { View } from 'react-native';

import { useCard } from '@/book/state';
import { findWhen } from '@/core/base';
import { localDay, uidFromPath } from '@/platform';
import { texts } from '@/texts/card/edit';
import { Act, AlarmClock } from '@/ui';

import { FollowUpSheet } from '../talk/FollowUpSheet';
import type { PartProps } from './FormField';

interface RemindActProps extends Pick<PartProps, 'form'> {
  readonly index: number;
}

/** Offers a reminder where a note speaks of a day to come; a card that isn't there yet has none. */
export function RemindAct({ form, index }: RemindActProps) {
  const { card: part = '' } = useLocalSearchParams<{ card: string }>();
  const card = useCard(uidFromPath(part));
  const text = useWatch({ control: form.control, name: `notes.${index}.text` });
  const [isOpen, setOpen] = useState(false);
  const said = findWhen(text, localDay());
  if (!card || !said) return null;
  return (
    <View className="flex-row">
      <Act
        label={texts.remindMe(said.words)}
        icon={AlarmClock}
        onPress={() => setOpen(true)}
        testID={`remind-note-${index}`}
      />
      {isOpen ? (
        <FollowUpSheet card={card} text={sentenceWith(text, said.words)} onClose={() => setOpen(false)} />
      ) : null}
    </View>
  );
}

/** The sentence that some words stand in. */
function sentenceWith(text: string, words: string): string {
  const sentences = text.split(/(?<=[.!?])\s+|\n/);
  return (sentences.find((one) => one.includes(words)) ?? text).trim();
}
