import { View } from 'react-native';

import { type Card, hasFlag, withFlag } from '@/core/card';
import { texts } from '@/texts/card/card';
import { Act, Archive, Txt } from '@/ui';

import { useChangeMany } from './many/useChangeMany';
import { nameCards } from './parts/nameCards';

/** Says that a card is archived, and brings it back. */
export function ArchivedHint({ card }: { readonly card: Card }) {
  const work = useChangeMany();
  if (!hasFlag(card, 'archived')) return null;
  const bringBack = () =>
    void work.change({
      cards: [card],
      label: texts.restored(nameCards([card])),
      change: (one) => withFlag(one, 'archived', false),
    });
  return (
    <View className="flex-row items-center justify-between gap-4 border-b border-rule">
      <View className="min-w-0 flex-1">
        <Txt tone="ochre">{texts.archivedHiddenInBook}</Txt>
      </View>
      <Act label={texts.restore} icon={Archive} onPress={bringBack} testID="bring-back" />
    </View>
  );
}
