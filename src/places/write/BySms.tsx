import { View } from 'react-native';

import { useCardGetter } from '@/book/state';
import { type Recipient, smsNumber, writeSms } from '@/core/write';
import { openOutside } from '@/platform';
import { texts } from '@/texts/write/write';
import { Act, MessageSquare, Txt } from '@/ui';

interface BySmsProps {
  readonly people: readonly Recipient[];
  readonly text: string;
}

/** The same words as a text message, to those whose cards have a number that takes one; who has none is said. */
export function BySms({ people, text }: BySmsProps) {
  const getCard = useCardGetter();
  const numbers = people.map(({ uid }) => smsNumber(uid === undefined ? undefined : getCard(uid)));
  const there = numbers.flatMap((number) => number ?? []);
  if (there.length === 0) return null;
  const missing = people
    .filter((_, i) => numbers[i] === undefined)
    .map(({ name, address }) => name || address);
  return (
    <View>
      <View className="flex-row">
        <Act
          label={texts.asTextMessageToNumbers(there.length)}
          icon={MessageSquare}
          tone="faded"
          onPress={() => openOutside(writeSms(there, text))}
          testID="mail-sms"
        />
      </View>
      {missing.length === 0 ? null : (
        <Txt size="small" tone="faded">
          {missing.length > 5
            ? texts.withoutNumberForTextAndMore(missing.slice(0, 5).join(', '), missing.length - 5)
            : texts.withoutNumberForText(missing.join(', '))}
        </Txt>
      )}
    </View>
  );
}
