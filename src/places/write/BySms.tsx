import { View } from 'react-native';

import { useCardGetter } from '@/book/state';
import { type Recipient, smsNumber, writeSms } from '@/core/write';
import { formatCount, openOutside } from '@/platform';
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
          label={`As a text message to ${formatCount(there.length, 'number', 'numbers')}`}
          icon={MessageSquare}
          tone="faded"
          onPress={() => openOutside(writeSms(there, text))}
          testID="mail-sms"
        />
      </View>
      {missing.length === 0 ? null : (
        <Txt size="small" tone="faded">
          {`Without a number for text messages: ${missing.slice(0, 5).join(', ')}${missing.length > 5 ? ` and ${missing.length - 5} more` : ''}`}
        </Txt>
      )}
    </View>
  );
}
