import { View } from 'react-native';

import type { Card } from '@/core/card';
import { alsoKept } from '@/core/showing';
import { formatDay } from '@/platform';
import { Txt } from '@/ui';

/** What the card holds beside what is shown, and since when it is there. */
export function CardFoot({ card }: { readonly card: Card }) {
  const kept = alsoKept(card);
  const dates = [
    card.created === undefined ? '' : `Written ${formatDay(card.created)}`,
    card.updated === undefined ? '' : `changed ${formatDay(card.updated)}`,
  ].filter(Boolean);
  return (
    <View className="gap-1 py-5">
      {kept.length === 0 ? null : <Txt size="small" tone="faded">{`Also kept: ${kept.join(', ')}.`}</Txt>}
      {dates.length === 0 ? null : (
        <Txt size="small" tone="faded" isFigures>
          {dates.join(', ')}
        </Txt>
      )}
    </View>
  );
}
