import { useState } from 'react';
import { View } from 'react-native';

import { texts } from '@/texts/write/write';
import { Act, Txt } from '@/ui';

import type { Out } from './useOut';

/** The most names listed of those whose cards lack something. */
const NAMED = 5;

/** What each of them gets, one after the other, and whose card lacks something. */
export function Previews({ people, count, messageAt, missing }: Out) {
  const [asked, setAt] = useState(0);
  const at = Math.min(asked, count - 1);
  const [message, person] = [messageAt(at), people[at]];
  if (!message || !person) return null;
  const lacks = missing.find((one) => one.at === at);
  return (
    <View className="gap-2" testID="mail-preview">
      {missing.length === 0 ? null : (
        <View testID="missing">
          <Txt tone="ochre">{texts.missingOnCards(missing.length)}</Txt>
          <View className="flex-row flex-wrap gap-x-4">
            {missing.slice(0, NAMED).map((one) => (
              <Act
                key={one.at}
                label={texts.lacks(people[one.at]?.name ?? '', one.fields.join(', '))}
                tone="faded"
                onPress={() => setAt(one.at)}
              />
            ))}
          </View>
        </View>
      )}
      <View className="border-l-2 border-rule py-1 pl-3">
        <Txt size="small" tone="faded" isFigures>
          {count > 1
            ? texts.whatGetsOf(person.name || person.address, at + 1, count)
            : texts.whatGets(person.name || person.address)}
        </Txt>
        <Txt font="sansBold">{message.subject}</Txt>
        <Txt>{message.body}</Txt>
        {lacks ? (
          <Txt size="small" tone="ochre">
            {texts.lacks(person.name, lacks.fields.join(', '))}
          </Txt>
        ) : null}
      </View>
      {count < 2 ? null : (
        <View className="flex-row gap-x-6">
          <Act label={texts.previous} isDisabled={at === 0} onPress={() => setAt(at - 1)} />
          <Act
            label={texts.next}
            isDisabled={at === count - 1}
            onPress={() => setAt(at + 1)}
            testID="preview-next"
          />
        </View>
      )}
    </View>
  );
}
