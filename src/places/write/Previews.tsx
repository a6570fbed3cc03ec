import { useState } from 'react';
import { View } from 'react-native';

import type { OutMessage, Recipient } from '@/core/write';
import { texts } from '@/texts/write/write';
import { Act, Txt } from '@/ui';

interface PreviewsProps {
  readonly people: readonly Recipient[];
  readonly messages: readonly OutMessage[];
}

/** What each of them gets, one after the other. */
export function Previews({ people, messages }: PreviewsProps) {
  const [asked, setAt] = useState(0);
  const at = Math.min(asked, messages.length - 1);
  const [message, person] = [messages[at], people[at]];
  if (!message || !person) return null;
  return (
    <View className="border-l-2 border-rule py-1 pl-3" testID="mail-preview">
      <Txt size="small" tone="faded" isFigures>
        {messages.length > 1
          ? texts.whatGetsOf(person.name || person.address, at + 1, messages.length)
          : texts.whatGets(person.name || person.address)}
      </Txt>
      <Txt font="sansBold">{message.subject}</Txt>
      <Txt>{message.body}</Txt>
      {messages.length < 2 ? null : (
        <View className="flex-row gap-x-6">
          <Act label={texts.previous} isDisabled={at === 0} onPress={() => setAt(at - 1)} />
          <Act
            label={texts.next}
            isDisabled={at === messages.length - 1}
            onPress={() => setAt(at + 1)}
            testID="preview-next"
          />
        </View>
      )}
    </View>
  );
}
